<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

use Larkspur\Measure\Statistics;

/** The stretch in which one axis moves, and within it the hold (docs/scoring.md, section 3). Indices are grid nodes. */
final readonly class Span
{
    private function __construct(
        public float $rate,
        public int $from,
        public int $holdFrom,
        public int $holdTo,
        public int $to,
    ) {
    }

    /** A rate within so many times its own noise is no motion. */
    private const NOISE = 2.0;

    /**
     * @param  list<float>  $rate  signed so that its sum is positive
     * @param  list<float>  $noise  standard deviation of each: at the ends of a log it is large
     * @return ?self null where the axis hardly moves
     */
    public static function of(array $rate, array $noise = []): ?self
    {
        $p95 = Statistics::percentile($rate, 95);
        $fast = array_values(array_filter($rate, static fn (float $p): bool => $p > 0.5 * $p95));
        if ($p95 <= 0 || count($fast) < 5) {
            return null;
        }
        $hold = Statistics::median($fast);
        [$from, $to] = self::mainRun($rate, 0.1 * $hold, $noise);

        $mean = Statistics::movingAverage($rate, 11);
        $first = $last = $from;
        $count = 0;
        for ($i = $from; $i <= $to; $i++) {
            if ($mean[$i] >= 0.9 * $hold) {
                $first = $count === 0 ? $i : $first;
                $last = $i;
                $count++;
            }
        }
        if ($count < 3 || $last - $first < 10) {
            $length = $to - $from;
            $first = $from + (int) (0.2 * $length);
            $last = $to - (int) (0.2 * $length);
        }

        return new self($hold, $from, $first, $last, $to);
    }

    /**
     * A planned profile has no one rate: all between its first and last two seconds counts as held.
     *
     * @param  list<float>  $rate  signed so that its sum is positive
     * @param  list<float>  $noise
     */
    public static function profiled(array $rate, array $noise = []): ?self
    {
        $span = self::of($rate, $noise);
        if ($span === null) {
            return null;
        }
        $trim = min((int) (2.0 / Grid::STEP), intdiv($span->to - $span->from, 3));

        return new self($span->rate, $span->from, $span->from + $trim, $span->to - $trim, $span->to);
    }

    /**
     * Runs above a threshold, those closer than 1 s joined; of these the one with the largest sum.
     *
     * @param  list<float>  $rate
     * @param  list<float>  $noise
     * @return array{int, int}
     */
    private static function mainRun(array $rate, float $threshold, array $noise): array
    {
        $best = [0, 0];
        $bestSum = -INF;
        $start = $end = null;
        $n = count($rate);
        for ($i = 0; $i <= $n; $i++) {
            $moving = $i < $n && $rate[$i] > max($threshold, self::NOISE * ($noise[$i] ?? 0.0));
            if ($moving && $end !== null && $i - $end <= 10) {
                $end = $i;
            } elseif ($moving || $i === $n) {
                if ($start !== null && $end !== null) {
                    $sum = array_sum(array_slice($rate, $start, $end - $start + 1));
                    if ($sum > $bestSum) {
                        [$best, $bestSum] = [[$start, $end], $sum];
                    }
                }
                $start = $end = $i;
            }
        }

        return $best;
    }

    /**
     * A stretch in which nothing is meant to move: all of it counts as held.
     *
     * @param  list<float>  $t
     * @param  array{float, float}  $limits  s
     */
    public static function between(array $t, array $limits): ?self
    {
        $nodes = array_keys(array_filter($t, static fn (float $time): bool => $time >= $limits[0] && $time <= $limits[1]));

        return count($nodes) < 10 ? null : new self(0.0, $nodes[0], $nodes[0], $nodes[count($nodes) - 1], $nodes[count($nodes) - 1]);
    }

    /** Number of nodes from first motion to last. */
    public function nodes(): int
    {
        return $this->to - $this->from + 1;
    }
}
