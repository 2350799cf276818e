<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

use Larkspur\Choreography\Plan;
use Larkspur\Flight;
use Larkspur\Measure\Series;

/** The planned shot beside the take that was flown of it. */
final readonly class PlannedReplay
{
    /** Fewest samples of 0.02 s between those shown. */
    private const STRIDE = 5;

    /**
     * @param  Flight  $flight  thinned; on the plan's own clock
     * @param  array<string, list<float>>  $fingers  travel by finger, at the times of the flight
     * @param  float  $shift  from the plan's clock to the log's, s
     */
    private function __construct(public Plan $plan, public Flight $flight, public array $fingers, public float $shift)
    {
    }

    public static function of(Plan $plan, float $shift): self
    {
        $flight = $plan->move->flight;
        $stride = max(self::STRIDE, (int) ceil($flight->count() / Replay::MOST_POINTS));
        $keep = Series::stride($flight->count(), $stride);

        return new self(
            $plan, $flight->thinned($stride),
            array_map(static fn (array $travel): array => Series::at($travel, $keep), $plan->sheet->travel), $shift,
        );
    }
}
