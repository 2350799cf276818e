<?php

declare(strict_types=1);

namespace Larkspur\Training\Ladder;

use Larkspur\Fact;
use Larkspur\Training\PastTake;

/** What the takes show of a criterion: which of them count, and what is wanting, in words. */
final readonly class Evidence
{
    /** Distances or paces that are this much apart are two. */
    private const APART = 1.3;

    /**
     * @param  list<PastTake>  $counting  passes that reach the criterion, oldest first
     * @param  int  $looked  passes that were looked at
     * @param  float  $share  how much of what is asked is there, 0 to 1
     * @param  list<Fact>  $missing  empty where it is enough
     */
    private function __construct(public array $counting, public int $looked, public float $share, public array $missing)
    {
    }

    /**
     * @param  list<string>  $moves
     * @param  list<PastTake>  $takes  of one operator, in order of days
     */
    public static function of(Criterion $criterion, array $moves, array $takes): self
    {
        $eligible = array_values(array_filter($takes, static fn (PastTake $take): bool => self::isAsked($criterion, $moves, $take)));
        $missing = $counting = [];
        $have = $want = 0.0;
        foreach (self::ways($criterion, $eligible) as $way => $passes) {
            $latest = array_slice($passes, -$criterion->of);
            $reached = array_values(array_filter($latest, static fn (PastTake $take): bool => self::reaches($criterion, $take)));
            $counting = [...$counting, ...$reached];
            $want += $criterion->passes;
            $have += min($criterion->passes, count($reached));
            if (count($reached) < $criterion->passes) {
                $missing[] = Fact::of(
                    $way === '' ? 'step.missing.passes' : 'step.missing.passes-one-way',
                    ...$way === '' ? [] : ['way' => Fact::of("direction.$way")], have: count($reached), passes: $criterion->passes,
                    of: $criterion->of, score: $criterion->score, kind: Fact::of("step.kind.$criterion->kind"),
                );
            }
        }
        usort($counting, static fn (PastTake $a, PastTake $b): int => $a->day <=> $b->day);
        $reached = array_values(array_filter($eligible, static fn (PastTake $take): bool => self::reaches($criterion, $take)));
        $further = [
            [count(array_unique(array_map(static fn (PastTake $take): int => $take->date(), $reached))), $criterion->days,
                'step.missing.days'],
            [$criterion->slowToo && ! self::isSlow($reached) ? 0 : 1, 1, 'step.missing.slow'],
            [$criterion->twoDistances && ! self::isVaried($reached) ? 0 : 1, 1, 'step.missing.distances'],
        ];
        foreach ($further as [$is, $asked, $code]) {
            if ($is < $asked) {
                $missing[] = Fact::of($code, have: $is, asked: $asked);
            }
            $have += min($is, $asked);
            $want += $asked;
        }

        return new self($counting, count($eligible), $have / $want, $missing);
    }

    /**
     * Whether it was ever enough: one bad day unlearns nothing.
     *
     * @param  list<string>  $moves
     * @param  list<PastTake>  $takes  of one operator, in order of days
     */
    public static function wasEverEnough(Criterion $criterion, array $moves, array $takes): bool
    {
        $eligible = array_values(array_filter($takes, static fn (PastTake $take): bool => self::isAsked($criterion, $moves, $take)));
        for ($many = count($eligible); $many > 0; $many--) {
            // It can only have become enough with a pass that counts.
            if (self::reaches($criterion, $eligible[$many - 1])
                && self::of($criterion, $moves, array_slice($eligible, 0, $many))->missing === []) {
                return true;
            }
        }

        return false;
    }

    /**
     * Whether a pass is of the kind that is asked: the move, flown by hand, with a craft or not, without the help that is to be left off.
     *
     * @param  list<string>  $moves
     */
    public static function isAsked(Criterion $criterion, array $moves, PastTake $take): bool
    {
        return in_array($take->move, $moves, true) && ! $take->automated
            && match ($criterion->kind) {
                Criterion::REAL => ! $take->practised,
                Criterion::PRACTISED => $take->practised,
                default => true,
            }
            && array_intersect($take->aids, $criterion->without) === [];
    }

    /** Whether a pass counts: its score and each named petal, with its own doubt taken off. */
    public static function reaches(Criterion $criterion, PastTake $take): bool
    {
        if ($take->score - $take->uncertainty < $criterion->score) {
            return false;
        }
        foreach ($criterion->facets as $facet => $least) {
            // A petal that this take could not show says nothing against it.
            if (($take->facets[$facet] ?? null) !== null && $take->facets[$facet] < $least) {
                return false;
            }
        }

        return true;
    }

    /**
     * @param  list<PastTake>  $passes
     * @return array<string, list<PastTake>> each way by itself where that is asked, else all under ''
     */
    private static function ways(Criterion $criterion, array $passes): array
    {
        if (! $criterion->bothWays) {
            return ['' => $passes];
        }
        $kinds = ['clockwise' => 'counterclockwise', 'left' => 'right'];
        $flown = array_column($passes, 'direction');
        $one = in_array('left', $flown, true) || in_array('right', $flown, true) ? 'left' : 'clockwise';
        $of = static fn (string $way): array => array_values(array_filter(
            $passes, static fn (PastTake $take): bool => $take->direction === $way,
        ));

        return [$one => $of($one), $kinds[$one] => $of($kinds[$one])];
    }

    /** @param  list<PastTake>  $passes */
    private static function isSlow(array $passes): bool
    {
        return in_array('slow', array_column($passes, 'mode'), true);
    }

    /** @param  list<PastTake>  $passes */
    private static function isVaried(array $passes): bool
    {
        foreach (['distance', 'pace'] as $what) {
            $values = array_filter(array_column($passes, $what), static fn (?float $value): bool => $value !== null && $value > 0.0);
            if ($values !== [] && max($values) >= self::APART * min($values)) {
                return true;
            }
        }

        return false;
    }
}
