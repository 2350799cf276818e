<?php

declare(strict_types=1);

namespace Larkspur\Practice;

use Larkspur\Fact;

/**
 * One of several passes of the same exercise, and which of them is the best: how many are flown before anybody says so is the school’s
 * to hold (HouseStyle).
 */
final readonly class PassOfMany
{
    /**
     * @param  array<string, ?float>  $facets  petals by name, null where not judged
     */
    public function __construct(public int $take, public float $score, public float $uncertainty, public array $facets)
    {
    }

    /**
     * The best of them; null while there are too few to choose from.
     *
     * @param  list<self>  $passes
     * @param  int  $enough  so many make a choice, as the school holds it
     */
    public static function best(array $passes, int $enough): ?self
    {
        if (count($passes) < $enough) {
            return null;
        }

        return array_reduce(
            $passes, static fn (?self $best, self $one): self => $best === null || $one->score > $best->score ? $one : $best,
        );
    }

    /**
     * Why it is the best: the petal by which it leads most over the middle of the others, or that chance alone may part them.
     *
     * @param  non-empty-list<self>  $passes
     */
    public function reason(array $passes): Fact
    {
        $others = array_values(array_filter($passes, fn (self $one): bool => $one !== $this));
        usort($others, static fn (self $a, self $b): int => $b->score <=> $a->score);
        $next = $others[0] ?? $this;
        $apart = $this->score - $next->score;
        if ($apart <= hypot($this->uncertainty, $next->uncertainty)) {
            return Fact::of('exercise.best-by-chance', count: count($passes), apart: $apart);
        }
        $lead = ['', -INF];
        foreach ($this->facets as $petal => $score) {
            $theirs = array_filter(array_map(static fn (self $one): ?float => $one->facets[$petal] ?? null, $others), is_float(...));
            if ($score !== null && $theirs !== [] && $score - array_sum($theirs) / count($theirs) > $lead[1]) {
                $lead = [$petal, $score - array_sum($theirs) / count($theirs)];
            }
        }

        return Fact::of('exercise.best-by-petal', count: count($passes), petal: Fact::of("petal.$lead[0]"), lead: max(0.0, $lead[1]));
    }
}
