<?php

declare(strict_types=1);

namespace Larkspur;

use Larkspur\Controls\Finger;
use Larkspur\Geo\Position;
use Larkspur\Measure\Series;

/**
 * A flight in the local frame, whether planned, simulated or flown: the currency between the rooms of core/.
 *
 * All lists have the same length. Times are seconds and rise; places are metres east, north and up; heading
 * (clockwise from north, unwrapped) and tilt (0 level, negative down) are radians; fingers are raw travel, -1..1.
 */
final readonly class Flight
{
    /**
     * @param  list<float>  $t
     * @param  list<float>  $east
     * @param  list<float>  $north
     * @param  list<float>  $up
     * @param  list<float>  $heading
     * @param  list<float>  $tilt
     * @param  ?array<value-of<Finger>, list<float>>  $fingers  what the fingers did, where known
     */
    public function __construct(
        public array $t,
        public array $east,
        public array $north,
        public array $up,
        public array $heading,
        public array $tilt,
        public ?array $fingers = null,
    ) {
    }

    public function count(): int
    {
        return count($this->t);
    }

    public function duration(): float
    {
        return $this->t === [] ? 0.0 : $this->t[count($this->t) - 1] - $this->t[0];
    }

    public function position(int $index): Position
    {
        return new Position($this->east[$index], $this->north[$index], $this->up[$index]);
    }

    /** Index of the sample nearest to a time, for evenly sampled flights. */
    public function indexAt(float $time): int
    {
        $last = count($this->t) - 1;
        if ($last < 1) {
            return 0;
        }
        $step = ($this->t[$last] - $this->t[0]) / $last;

        return (int) max(0, min($last, round(($time - $this->t[0]) / $step)));
    }

    /** The samples from one index to another, both included. */
    public function between(int $from, int $to): self
    {
        $keep = range($from, $to);

        return $this->at($keep);
    }

    /** The same so many seconds later. */
    public function later(float $seconds): self
    {
        return new self(
            array_map(static fn (float $t): float => $t + $seconds, $this->t), $this->east, $this->north, $this->up, $this->heading,
            $this->tilt, $this->fingers,
        );
    }

    /** Every $stride-th sample; the last one is always kept. */
    public function thinned(int $stride): self
    {
        return $this->at(Series::stride(count($this->t), $stride));
    }

    /** @param  list<int>  $keep  indices of the samples that are kept */
    private function at(array $keep): self
    {
        return new self(
            Series::at($this->t, $keep), Series::at($this->east, $keep), Series::at($this->north, $keep), Series::at($this->up, $keep),
            Series::at($this->heading, $keep), Series::at($this->tilt, $keep),
            $this->fingers === null ? null : array_map(static fn (array $travel): array => Series::at($travel, $keep), $this->fingers),
        );
    }
}
