<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

use Larkspur\Measure\Statistics;

/** The raw samples of an axis about a start or a stop, that a ramp is fitted to. */
final readonly class RampSamples
{
    /** Seconds on either side that are looked at. */
    private const HALF_WINDOW = 3.0;

    /**
     * @param  non-empty-list<float>  $t  s about the middle of the ramp
     * @param  non-empty-list<float>  $y  about their mean: metres or radians
     */
    private function __construct(public array $t, public array $y)
    {
    }

    /**
     * @param  list<float>  $t  raw sample times, s
     * @param  list<float>  $y  raw samples of the axis
     * @param  float  $centre  where the ramp is expected, s
     * @param  float  $limit  the middle of the hold: a start looks no later, a stop no earlier
     * @return ?self null where there are fewer than so many
     */
    public static function about(array $t, array $y, float $centre, bool $stop, float $limit, int $fewest): ?self
    {
        $from = $stop ? max($centre - self::HALF_WINDOW, $limit) : $centre - self::HALF_WINDOW;
        $to = $stop ? $centre + self::HALF_WINDOW : min($centre + self::HALF_WINDOW, $limit);
        $times = $values = [];
        foreach ($t as $i => $time) {
            if ($time >= $from && $time <= $to) {
                $times[] = $time - $centre;
                $values[] = $y[$i];
            }
        }
        if (count($times) < $fewest || $times === [] || $values === []) {
            return null;
        }
        $mean = Statistics::mean($values);

        return new self($times, array_map(static fn (float $value): float => $value - $mean, $values));
    }

    public function count(): int
    {
        return count($this->t);
    }

    /** From the first to the last, s. */
    public function seconds(): float
    {
        return $this->t[count($this->t) - 1] - $this->t[0];
    }
}
