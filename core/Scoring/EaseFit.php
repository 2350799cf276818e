<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

use Larkspur\Measure\Ramp;

/**
 * How long an axis took to start or to stop: a quintic ramp fitted to the raw samples by least squares over a grid
 * of durations and centres (docs/scoring.md, section 4, "Ease").
 *
 * y = a + b T Q((t - c + T/2) / T), Q the travel of the ramp. Outside the ramp the basis is 0 or t - c, so prefix
 * sums of 1, t, t^2, y and t y cover those samples exactly and only the samples inside a ramp are visited. A stop is
 * a start seen backwards: t and y change their signs.
 */
final readonly class EaseFit
{
    private const DURATIONS = [0.15, 0.25, 0.35, 0.5, 0.65, 0.8, 1.0, 1.2, 1.4, 1.7, 2.0, 2.4, 2.8, 3.3, 4.0];

    private const FEWEST = 12;

    /**
     * @param  float  $duration  T, s: exp of the mean of ln T
     * @param  float  $centre  time of the middle of the ramp, s
     * @param  float  $rate  held rate b, per second
     * @param  float  $spread  standard deviation of ln T
     */
    private function __construct(
        public float $duration,
        public float $centre,
        public float $rate,
        public float $spread,
    ) {
    }

    /** The ease of an axis that only its finger tells, s. */
    public static function ofFinger(float $seconds, float $centre): self
    {
        return new self($seconds, $centre, 0.0, 0.0);
    }

    /** The same ease as the finger made it, s: the craft softens a stick that springs, the picture lurches all the same. */
    public function byTheFinger(float $seconds): self
    {
        return new self(min($this->duration, $seconds), $this->centre, $this->rate, 0.0);
    }

    /** What is credited: T times exp(spread), the benefit of the doubt. */
    public function usable(): float
    {
        return $this->duration * exp($this->spread);
    }

    /** How measurable it was, 0 to 1. */
    public function weight(): float
    {
        return 1 / (1 + ($this->spread / 0.35) ** 2);
    }

    /**
     * @param  list<float>  $t  raw sample times
     * @param  list<float>  $y  raw samples of the axis: metres or radians
     * @param  float  $centre  where the ramp is expected, s
     * @param  float  $limit  the middle of the hold: a start looks no later, a stop no earlier
     * @param  float  $sigma  white noise of a sample
     * @param  float  $walk  slow wander of the sensor, per root second
     * @return ?self null where there are too few samples
     */
    public static function fit(array $t, array $y, float $centre, bool $stop, float $limit, float $sigma, float $walk): ?self
    {
        $samples = RampSamples::about($t, $y, $centre, $stop, $limit, self::FEWEST);
        if ($samples === null) {
            return null;
        }
        [$tt, $yy, $n, $seconds] = [$samples->t, $samples->y, $samples->count(), $samples->seconds()];
        if ($stop) {
            $tt = array_map(static fn (float $time): float => -$time, array_reverse($tt));
            $yy = array_map(static fn (float $value): float => -$value, array_reverse($yy));
        }
        [$profile, $best, $shift, $rate] = self::search($tt, $yy);

        $variance = max($sigma ** 2, $best / max($n - 4, 1)) + $walk ** 2 * $n / (2 * $seconds);
        $sum = $mu = $square = 0.0;
        foreach (self::DURATIONS as $k => $duration) {
            $weight = exp(-0.5 * ($profile[$k] - $best) / $variance);
            $sum += $weight;
            $mu += $weight * log($duration);
            $square += $weight * log($duration) ** 2;
        }
        $mu /= $sum;

        return new self(exp($mu), $centre + ($stop ? -$shift : $shift), $rate, sqrt(max(0.0, $square / $sum - $mu * $mu)));
    }

    /**
     * Least squares over the grid of durations and centres.
     *
     * @param  list<float>  $t  about the expected centre, rising
     * @param  list<float>  $y  about their mean
     * @return array{list<float>, float, float, float} least squared error of each duration, the least of all, and its centre and rate
     */
    private static function search(array $t, array $y): array
    {
        $n = count($t);
        // Sums over all samples from i on: of 1, t, t^2, y, t y.
        $s1 = $st = $stt = $sy = $sty = array_fill(0, $n + 1, 0.0);
        $yyy = 0.0;
        for ($i = $n - 1; $i >= 0; $i--) {
            $s1[$i] = $s1[$i + 1] + 1;
            $st[$i] = $st[$i + 1] + $t[$i];
            $stt[$i] = $stt[$i + 1] + $t[$i] * $t[$i];
            $sy[$i] = $sy[$i + 1] + $y[$i];
            $sty[$i] = $sty[$i + 1] + $t[$i] * $y[$i];
            $yyy += $y[$i] * $y[$i];
        }
        $profile = [];
        $best = INF;
        $bestShift = $bestRate = 0.0;
        foreach (self::DURATIONS as $duration) {
            $least = INF;
            $low = $high = 0;
            for ($step = -15; $step <= 15; $step++) {
                $c = $step * 0.1;
                $begin = $c - $duration / 2;
                $end = $c + $duration / 2;
                while ($low < $n && $t[$low] <= $begin) {
                    $low++;
                }
                while ($high < $n && $t[$high] < $end) {
                    $high++;
                }
                // After the ramp the basis is t - c.
                $b = $st[$high] - $c * $s1[$high];
                $bb = $stt[$high] - 2 * $c * $st[$high] + $c * $c * $s1[$high];
                $by = $sty[$high] - $c * $sy[$high];
                for ($i = $low; $i < $high; $i++) {
                    $basis = $duration * Ramp::travel(($t[$i] - $begin) / $duration);
                    $b += $basis;
                    $bb += $basis * $basis;
                    $by += $basis * $y[$i];
                }
                $bb += 1e-12 - $b * $b / $n;
                $error = $yyy - $by * $by / $bb;
                if ($error < $least) {
                    $least = $error;
                    if ($error < $best) {
                        [$best, $bestShift, $bestRate] = [$error, $c, $by / $bb];
                    }
                }
            }
            $profile[] = $least;
        }

        return [$profile, $best, $bestShift, $bestRate];
    }
}
