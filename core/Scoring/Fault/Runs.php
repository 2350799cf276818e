<?php

declare(strict_types=1);

namespace Larkspur\Scoring\Fault;

use Larkspur\Measure\Statistics;
use Larkspur\Scoring\Grid;

/** Stretches of a series of nodes in which something is so, and its worst seconds. */
final class Runs
{
    /** Seconds over which what trembles or bobs is judged at its worst. */
    public const WORST_SECONDS = 3.0;

    /**
     * Runs of true values; breaks of up to $join - 1 false values do not part a run.
     *
     * @param  list<bool>  $flags
     * @return list<array{int, int, int}> first, last, number of true values
     */
    public static function of(array $flags, int $join): array
    {
        /** @var list<array{int, int, int}> $runs */
        $runs = [];
        foreach ($flags as $i => $flag) {
            if (! $flag) {
                continue;
            }
            $last = array_pop($runs);
            if ($last !== null && $i - $last[1] <= $join) {
                $runs[] = [$last[0], $i, $last[2] + 1];

                continue;
            }
            if ($last !== null) {
                $runs[] = $last;
            }
            $runs[] = [$i, $i, 1];
        }

        return $runs;
    }

    /**
     * Where the worst three seconds begin, and their mean.
     *
     * @param  list<float>  $values  per node
     * @return array{int, float}
     */
    public static function worst(array $values): array
    {
        $width = (int) (self::WORST_SECONDS / Grid::STEP);
        $n = count($values);
        if ($n <= $width) {
            return [0, Statistics::mean($values)];
        }
        $sum = array_sum(array_slice($values, 0, $width));
        $best = [0, $sum];
        for ($i = 1; $i + $width <= $n; $i++) {
            $sum += $values[$i + $width - 1] - $values[$i - 1];
            if ($sum > $best[1]) {
                $best = [$i, $sum];
            }
        }

        return [$best[0], $best[1] / $width];
    }

    /**
     * The worst three seconds of the hold that begin at one of its nodes, as nodes of the grid.
     *
     * @return array{int, int}
     */
    public static function window(int $holdFrom, int $at, int $last): array
    {
        $from = $holdFrom + $at;

        return [$from, min($from + (int) (self::WORST_SECONDS / Grid::STEP), $last)];
    }
}
