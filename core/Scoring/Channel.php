<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

use Larkspur\Measure\Statistics;

/** One quantity of a log on the common grid: its smoothed value, rates by three kernels, acceleration, and noise. */
final readonly class Channel
{
    /**
     * @param  list<float>  $value
     * @param  list<float>  $rate  by the main kernel
     * @param  list<float>  $acceleration
     * @param  list<float>  $steady  rate by the 1.8 s kernel
     * @param  list<float>  $slow  rate by the 2.5 s kernel
     * @param  list<float>  $g0  noise gain of the value, per node
     * @param  list<float>  $g1  of the rate
     * @param  list<float>  $g2  of the acceleration
     * @param  list<float>  $gSteady  of the steady rate
     * @param  list<float>  $gSlow  of the slow rate
     * @param  float  $sigma  white noise of a raw sample
     */
    public function __construct(
        public array $value,
        public array $rate,
        public array $acceleration,
        public array $steady,
        public array $slow,
        public array $g0,
        public array $g1,
        public array $g2,
        public array $gSteady,
        public array $gSlow,
        public float $sigma,
    ) {
    }

    /** What the main rate holds beyond the slow one: the shake, per node. */
    public function band(int $node): float
    {
        return $this->rate[$node] - $this->slow[$node];
    }

    /** Noise of that band, per node: the kernels are nested, so their variances subtract. */
    public function bandNoise(int $node): float
    {
        return $this->sigma * sqrt(max(0.0, $this->g1[$node] ** 2 - $this->gSlow[$node] ** 2));
    }

    /**
     * Standard deviation that noise alone gives the rate at each node.
     *
     * @return list<float>
     */
    public function rateNoise(): array
    {
        return array_map(fn (float $gain): float => $this->sigma * $gain, $this->g1);
    }

    /**
     * The same where the kernel has hardly anything to stand on, at the ends of a log and at its gaps; 0 elsewhere.
     *
     * @return list<float>
     */
    public function edgeNoise(): array
    {
        $usual = 1.8 * Statistics::median($this->g1);

        return array_map(fn (float $gain): float => $gain > $usual ? $this->sigma * $gain : 0.0, $this->g1);
    }
}
