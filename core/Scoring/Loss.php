<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

use Larkspur\Scoring\Fault\Fault;
use Larkspur\Scoring\Fault\Kick;

/** Points that a take lost, and to what: a fault of it, or a part of the score that no single fault accounts for. */
final readonly class Loss
{
    private function __construct(public string $part, public ?Fault $fault, public Petal $petal, public float $points)
    {
    }

    /**
     * Every loss of a take, the largest first; they add up to 100 less the score.
     *
     * What a part lacks is shared by the faults that spoil it, by their severity; what a fault takes off by itself comes on top.
     *
     * @param  array<string, float>  $weights  of the move's parts
     * @param  list<Fault>  $faults
     * @return list<self>
     */
    public static function all(PartScores $parts, array $weights, array $faults, Points $points): array
    {
        $raw = array_sum(array_map(static fn (Fault $fault): float => $fault->deduction(), $faults));
        /** @var array<int, array<string, float>> $shares points by fault and part */
        $shares = [];
        $losses = [];
        foreach ($parts->losses($weights) as $part => $lost) {
            $spoilers = array_filter($faults, static fn (Fault $fault): bool => in_array($part, $fault->kind->spoils($fault), true));
            $severities = array_sum(array_map(static fn (Fault $fault): float => $fault->severity, $spoilers));
            foreach ($spoilers as $i => $fault) {
                // What a kick explains is lost to the kick.
                $kick = $fault->kind instanceof Kick ? null : Kick::explaining($fault, $faults);
                $i = $kick === null ? $i : (int) array_search($kick, $faults, true);
                $shares[$i][$part] = ($shares[$i][$part] ?? 0.0) + $lost * $fault->severity / $severities;
            }
            if ($spoilers === [] && $lost > 0) {
                $losses[] = new self($part, null, Petal::of($part), $lost);
            }
        }
        foreach ($faults as $i => $fault) {
            $own = $raw > 0 ? $points->deduction * $fault->deduction() / $raw : 0.0;
            $part = $fault->kind->spoils($fault)[0] ?? 'smooth';
            $lost = array_sum($shares[$i] ?? []) + $own;
            if ($lost > 0) {
                $losses[] = new self($part, $fault, Petal::of($part), $lost);
            }
        }
        $total = array_sum(array_map(static fn (self $loss): float => $loss->points, $losses));
        // A take that is worth nothing has lost no more than it had.
        $scale = $total > 0 ? (100 - $points->score) / $total : 0.0;
        $scaled = array_map(
            static fn (self $loss): self => new self($loss->part, $loss->fault, $loss->petal, $loss->points * $scale), $losses,
        );
        usort($scaled, static fn (self $a, self $b): int => $b->points <=> $a->points);

        return $scaled;
    }
}
