<?php

declare(strict_types=1);

namespace Larkspur\Training;

use Larkspur\Measure\Statistics;
use Larkspur\Move\Stance;

/**
 * Decides from an operator's own record what to practise next. Medians over a few takes, never a single one: one
 * take ranks nobody (docs/scoring.md, section 11). The rules themselves are common practice, no published source;
 * docs/schools.md says why each stands where it does.
 */
final class Advisor
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

    private const CUES = [
        'ease' => 'Count two full seconds into the hold and two out of it. The thumbs come back as slowly as they left.',
        'flow' => 'Rest the tips of your thumbs on the sticks and breathe out before you press. Small, then smaller.',
        'hold' => 'Find the pace with the slide, then freeze that thumb. Only the turn may correct.',
        'line' => 'Watch the size of the subject: where it shrinks, a touch of run toward it.',
        'frame' => 'Choose the mark before you record, and correct on the turn while the stray is still small.',
    ];

    /**
     * @param  list<PastTake>  $takes  of one operator, oldest first
     * @param  float  $today  days on the clock of the takes
     * @param  ?float  $radius  of the last orbit flown, m
     */
    public static function next(array $takes, float $today, ?float $radius = null): Advice
    {
        if ($takes === []) {
            return new Advice('first', 'Fly your first orbit', 'There is no take of yours yet. An orbit shows all five petals at once.', change: []);
        }
        $recent = array_slice($takes, -self::RECENT);

        return self::from($takes, $takes[count($takes) - 1], $recent, $today, $radius)->restingOn(self::typical($recent));
    }

    /**
     * @param  list<PastTake>  $takes
     * @param  list<PastTake>  $recent
     */
    private static function from(array $takes, PastTake $last, array $recent, float $today, ?float $radius): Advice
    {
        $away = $today - $last->day;
        if ($away > self::AWAY) {
            return new Advice(
                'come-back', 'Fly an orbit you know, slowly',
                sprintf('Your last take is %.0f days old. Find the hand again before you try anything new.', $away),
                cue: self::CUES['hold'], evidence: ['days' => round($away)],
            );
        }
        [$facet, $median] = self::weakest($recent);
        $names = ['ease' => 'Ease', 'flow' => 'Flow', 'hold' => 'Hold', 'line' => 'Line', 'frame' => 'Frame'];
        if ($facet !== null && $median < self::GOOD) {
            return new Advice(
                'mend-facet', sprintf('Work on %s', $names[$facet]),
                sprintf('In your last %d takes %s is the shortest petal: median %.0f, and %.0f or more is what lets a take through.%s', count($recent), $names[$facet], $median, self::GOOD, self::trend($takes, $facet)),
                $facet, self::CUES[$facet], [], ['median' => round($median, 1), 'takes' => count($recent)],
            );
        }
        $keepers = self::keepers($takes);
        $less = $keepers[Stance::CLOCKWISE] <= $keepers[Stance::COUNTERCLOCKWISE] ? Stance::CLOCKWISE : Stance::COUNTERCLOCKWISE;
        $more = $less === Stance::CLOCKWISE ? Stance::COUNTERCLOCKWISE : Stance::CLOCKWISE;
        if ($keepers[$less] < self::KEEPERS) {
            return new Advice(
                'other-way', sprintf('The same orbit, %s', $less),
                sprintf('Every petal is at %.0f or more, but you have %s %s and %d %s. Every move is drilled both ways.', $median, $keepers[$less] === 0 ? 'no keeper' : ($keepers[$less] === 1 ? 'one keeper' : $keepers[$less].' keepers'), $less, $keepers[$more], $more),
                null, 'The thumbs swap sides: say which way each goes before you record.', ['direction' => $less],
                ['keepers_'.$less => $keepers[$less], 'keepers_'.$more => $keepers[$more]],
            );
        }
        $smaller = $radius === null ? [] : ['radius_m' => max(5.0, round(2 * self::TIGHTER * $radius) / 2)];

        return new Advice(
            'tighter', $smaller === [] ? 'A tighter circle' : sprintf('A tighter circle: %s m', rtrim(rtrim(number_format($smaller['radius_m'], 1), '0'), '.')),
            sprintf('Every petal is at %.0f or more and you have %d keepers one way, %d the other. Nearer in, depth is stronger and every slip shows.', $median, $keepers[$less], $keepers[$more]),
            null, 'Slower than before: near needs less pace for the same picture.', $smaller, ['median' => round($median, 1)],
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
        foreach (array_keys(self::CUES) as $facet) {
            $values = self::values($takes, $facet);
            $facets[$facet] = $values === [] ? null : round(Statistics::median($values), 1);
        }

        return ['takes' => count($takes), 'score' => round(Statistics::median(array_map(static fn (PastTake $take): float => $take->score, $takes)), 1), 'facets' => $facets];
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
        foreach (array_keys(self::CUES) as $facet) {
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
     * How that facet has moved against the takes before, in words; empty with too few to tell.
     *
     * @param  list<PastTake>  $takes
     */
    private static function trend(array $takes, string $facet): string
    {
        $before = self::values(array_slice($takes, -2 * self::RECENT, -self::RECENT), $facet);
        $now = self::values(array_slice($takes, -self::RECENT), $facet);
        if (count($before) < self::RECENT || $now === []) {
            return '';
        }
        $change = Statistics::median($now) - Statistics::median($before);

        return match (true) {
            $change >= 5 => sprintf(' It was %.0f in the three before: it is coming.', Statistics::median($before)),
            $change <= -5 => sprintf(' It was %.0f in the three before: it is slipping.', Statistics::median($before)),
            default => '',
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
