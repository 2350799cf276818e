<?php

declare(strict_types=1);

namespace Documents\Plan;

use Documents\Document;
use Larkspur\Flight;
use Larkspur\Measure\Angle;
use Larkspur\Measure\Series;

/** A flight, sample by sample: seconds, metres, degrees. */
final readonly class Samples implements Document
{
    /**
     * @param  list<float>  $t
     * @param  list<float>  $eastM
     * @param  list<float>  $northM
     * @param  list<float>  $upM
     * @param  list<float>  $headingDeg
     * @param  list<float>  $tiltDeg
     */
    public function __construct(
        public array $t,
        public array $eastM,
        public array $northM,
        public array $upM,
        public array $headingDeg,
        public array $tiltDeg,
    ) {
    }

    public static function of(Flight $flight): self
    {
        return new self(
            Series::rounded($flight->t, 3), Series::rounded($flight->east, 3), Series::rounded($flight->north, 3),
            Series::rounded($flight->up, 3),
            Series::rounded($flight->heading, 3, 1 / Angle::DEGREE), Series::rounded($flight->tilt, 3, 1 / Angle::DEGREE),
        );
    }
}
