<?php

declare(strict_types=1);

namespace Larkspur\Training;

use Larkspur\Fact;
use Larkspur\Measure\Quantity;
use Larkspur\Measure\Statistics;
use Larkspur\Move\Shape\Stance;
use Larkspur\Scoring\Petal;

/**
 * Decides from an operator's own record what to practise next. Medians over a few takes, never a single one: one
 * take ranks nobody (docs/scoring.md, section 11). The rules themselves are common practice, no published source;
 * docs/schools.md says why each stands where it does.
 */
final class PracticeAdvisor
{
    /** Takes that the advice looks at. */
    private const RECENT = 3;

    /** A facet whose median is below this is worked on before anything else. */
    public const GOOD = 85.0;

    /** Keepers each way before an orbit is made harder. */
    private const KEEPERS = 3;

    /** Days without flying after which the hand has to be found again. */
    private const AWAY = 14.0;

    /** How much smaller the next circle is. */
    private const TIGHTER = 0.8;

    /**
     * @param  list<PastTake>  $takes  of one operator, oldest first
     * @param  float  $today  days on the clock of the takes
     * @param  ?float  $radius  of the last orbit flown, m
     */
    public static function next(array $takes, float $today, ?float $radius = null): PracticeAdvice
    {
        if ($takes === []) {
            return new PracticeAdvice(
                'first', Fact::of('practice.fly-your-first-orbit'), Fact::of('practice.take-yours-yet-orbit'), change: [],
            );
        }
        $recent = array_slice($takes, -self::RECENT);

        return self::from($takes, $takes[count($takes) - 1], $recent, $today, $radius)->restingOn(self::typical($recent));
    }

    /**
     * @param  list<PastTake>  $takes
     * @param  list<PastTake>  $recent
     */
    private static function from(array $takes, PastTake $last, array $recent, float $today, ?float $radius): PracticeAdvice
    {
        $away = $today - $last->day;
        if ($away > self::AWAY) {
            return new PracticeAdvice(
                'come-back', Fact::of('practice.fly-orbit-you-know'),
                Fact::of('practice.your-last-take-days', away: $away),
                cue: Fact::of('practice.cue.hold'), evidence: ['days' => round($away)],
            );
        }
        [$facet, $median] = self::weakest($recent);
        if ($facet !== null && $median < self::GOOD) {
            return new PracticeAdvice(
                'mend-facet', Fact::of('practice.work-on', petal: Fact::of("petal.$facet")),
                Fact::all(
                    Fact::of(
                        'practice.your-last-takes-shortest', count: count($recent), petal: Fact::of("petal.$facet"), median: $median,
                        good: self::GOOD,
                    ),
                    self::trend($takes, $facet),
                ),
                $facet, Fact::of("practice.cue.$facet"), [], ['median' => round($median, 1), 'takes' => count($recent)],
            );
        }
        $keepers = self::keepers($takes);
        $less = $keepers[Stance::CLOCKWISE] <= $keepers[Stance::COUNTERCLOCKWISE] ? Stance::CLOCKWISE : Stance::COUNTERCLOCKWISE;
        $more = $less === Stance::CLOCKWISE ? Stance::COUNTERCLOCKWISE : Stance::CLOCKWISE;
        if ($keepers[$less] < self::KEEPERS) {
            return new PracticeAdvice(
                'other-way', Fact::of('practice.same-orbit', less: Fact::of("direction.$less")),
                Fact::of(
                    'practice.every-petal-more-but', median: $median, fewer: $keepers[$less], less: Fact::of("direction.$less"),
                    keepers: $keepers[$more], more: Fact::of("direction.$more"),
                ),
                null, Fact::of('practice.thumbs-swap-sides-say'), ['direction' => $less],
                ['keepers_'.$less => $keepers[$less], 'keepers_'.$more => $keepers[$more]],
            );
        }
        $smaller = $radius === null ? [] : ['radius_m' => max(5.0, round(2 * self::TIGHTER * $radius) / 2)];

        return new PracticeAdvice(
            'tighter',
            $smaller === []
                ? Fact::of('practice.tighter-circle')
                : Fact::of('practice.tighter-circle-m', radius: Quantity::metres($smaller['radius_m'])),
            Fact::of('practice.every-petal-more-you', median: $median, oneWay: $keepers[$less], otherWay: $keepers[$more]),
            null, Fact::of('practice.slower-before-near-needs'), $smaller, ['median' => round($median, 1)],
        );
    }

    /**
     * The take that an operator typically flies now: the median of each petal and of the score.
     *
     * @param  list<PastTake>  $takes
     * @return array{takes: int, score: float, facets: array<string, ?float>}
     */
    private static function typical(array $takes): array
    {
        $facets = [];
        foreach (array_column(Petal::cases(), 'value') as $facet) {
            $values = self::values($takes, $facet);
            $facets[$facet] = $values === [] ? null : round(Statistics::median($values), 1);
        }

        return [
            'takes' => count($takes),
            'score' => round(Statistics::median(array_map(static fn (PastTake $take): float => $take->score, $takes)), 1),
            'facets' => $facets,
        ];
    }

    /**
     * The facet with the lowest median.
     *
     * @param  list<PastTake>  $takes
     * @return array{?string, float}
     */
    private static function weakest(array $takes): array
    {
        $weakest = [null, INF];
        foreach (array_column(Petal::cases(), 'value') as $facet) {
            $values = self::values($takes, $facet);
            if ($values !== [] && Statistics::median($values) < $weakest[1]) {
                $weakest = [$facet, Statistics::median($values)];
            }
        }

        return $weakest;
    }

    /**
     * @param  list<PastTake>  $takes
     * @return list<float>
     */
    private static function values(array $takes, string $facet): array
    {
        $values = [];
        foreach ($takes as $take) {
            if (($take->facets[$facet] ?? null) !== null) {
                $values[] = $take->facets[$facet];
            }
        }

        return $values;
    }

    /**
     * How that facet has moved against the takes before, null with too few to tell.
     *
     * @param  list<PastTake>  $takes
     */
    private static function trend(array $takes, string $facet): ?Fact
    {
        $before = self::values(array_slice($takes, -2 * self::RECENT, -self::RECENT), $facet);
        $now = self::values(array_slice($takes, -self::RECENT), $facet);
        if (count($before) < self::RECENT || $now === []) {
            return null;
        }
        $change = Statistics::median($now) - Statistics::median($before);

        return match (true) {
            $change >= 5 => Fact::of('practice.was-three-before-coming', median: Statistics::median($before)),
            $change <= -5 => Fact::of('practice.was-three-before-slipping', median: Statistics::median($before)),
            default => null,
        };
    }

    /**
     * @param  list<PastTake>  $takes
     * @return array{clockwise: int, counterclockwise: int}
     */
    private static function keepers(array $takes): array
    {
        $keepers = [Stance::CLOCKWISE => 0, Stance::COUNTERCLOCKWISE => 0];
        foreach ($takes as $take) {
            if ($take->verdict === 'keep' && isset($keepers[$take->direction])) {
                $keepers[$take->direction]++;
            }
        }

        return $keepers;
    }
}
