<?php

declare(strict_types=1);

namespace Larkspur\Measure;

use LogicException;

/**
 * A level that wanders, seen through noise at irregular times: what it is after each look, and what it was in the light of all of them.
 *
 *     y_i = a_i + e_i,                e_i ~ N(0, h_i)
 *     a_1 ~ N(m, P),  a_{i+1} = a_i + w_i,  w_i ~ N(0, q + d (t_{i+1} - t_i))
 *
 * Filter: A. C. Harvey, Forecasting, Structural Time Series Models and the Kalman Filter, 1989, 3.2. Smoother: H. E. Rauch, F. Tung,
 * C. T. Striebel, Maximum likelihood estimates of linear dynamic systems, AIAA Journal 3, 1965. Both from memory; held against reference
 * values in tests/Checks/LocalLevelTest.
 */
final readonly class LocalLevel
{
    /**
     * @param  list<array{float, float}>  $filtered  mean and variance after each observation, with those up to it
     * @param  list<array{float, float}>  $smoothed  with all of them
     * @param  list<float>  $gains  of the smoother: share of what is learnt of the next level that is learnt of this one
     */
    private function __construct(public array $filtered, public array $smoothed, private array $gains, public float $logLikelihood)
    {
    }

    /**
     * @param  list<float>  $days  when each was observed, in order
     * @param  list<float>  $observed
     * @param  list<float>  $variances  of each observation, over 0
     * @param  array{float, float}  $prior  mean and variance of the first level
     * @param  float  $perDay  variance that the level gains by a day
     * @param  float  $perStep  variance that it gains by being seen once more
     */
    public static function of(array $days, array $observed, array $variances, array $prior, float $perDay, float $perStep): self
    {
        $count = count($observed);
        if ($count === 0 || count($days) !== $count || count($variances) !== $count) {
            throw new LogicException('A level needs observations, each with its time and its variance.');
        }
        $filtered = $predicted = [];
        $likelihood = 0.0;
        [$mean, $variance] = $prior;
        for ($i = 0; $i < $count; $i++) {
            if ($i > 0) {
                $variance += $perStep + $perDay * max(0.0, $days[$i] - $days[$i - 1]);
            }
            $predicted[] = $variance;
            $spread = $variance + $variances[$i];
            $missed = $observed[$i] - $mean;
            $likelihood -= 0.5 * (log(2 * M_PI * $spread) + $missed ** 2 / $spread);
            $gain = $variance / $spread;
            $mean += $gain * $missed;
            $variance *= 1 - $gain;
            $filtered[] = [$mean, $variance];
        }
        $smoothed = $filtered;
        $gains = [];
        for ($i = 0; $i < $count - 1; $i++) {
            $gains[] = $filtered[$i][1] / $predicted[$i + 1];
        }
        for ($i = $count - 2; $i >= 0; $i--) {
            $smoothed[$i] = [
                // The level is expected to stay where it is.
                $filtered[$i][0] + $gains[$i] * ($smoothed[$i + 1][0] - $filtered[$i][0]),
                $filtered[$i][1] + $gains[$i] ** 2 * ($smoothed[$i + 1][1] - $predicted[$i + 1]),
            ];
        }

        return new self($filtered, $smoothed, $gains, $likelihood);
    }

    /** @return array{float, float} mean and variance after the last observation */
    public function now(): array
    {
        return $this->filtered[count($this->filtered) - 1];
    }

    /**
     * What the level gained from one observation to the last, with all of them known.
     *
     * @return array{float, float} mean and variance; the two ends are not independent
     */
    public function changeSince(int $from): array
    {
        $last = count($this->filtered) - 1;
        [$now, $spread] = $this->smoothed[$last];
        [$then, $spreadThen] = $this->smoothed[$from];
        $shared = $spread;
        for ($i = $from; $i < $last; $i++) {
            $shared *= $this->gains[$i];
        }

        return [$now - $then, max(0.0, $spread + $spreadThen - 2 * $shared)];
    }
}
