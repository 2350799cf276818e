<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

use Larkspur\Measure\Statistics;
use Larkspur\Site\Wind;
use Larkspur\Telemetry\FlightLog;

/** The wind that a take was flown in, from its log or its plan, and about how many points of steadiness it cost. */
final readonly class WindReport
{
    /** @param  ?float  $share  points; null without finger columns */
    private function __construct(public ?float $mean, public ?float $gust, public ?float $share)
    {
    }

    public static function of(FlightLog $cut, ?Wind $planned, ?float $share): self
    {
        $logged = array_values(array_filter($cut->column('wind_mps'), static fn (float $value): bool => ! is_nan($value)));
        $blows = $planned !== null && $planned->mean > 0;

        return new self(
            $logged === [] ? ($blows ? $planned->mean : null) : round(Statistics::mean($logged), 2), $blows ? $planned->gust : null, $share,
        );
    }
}
