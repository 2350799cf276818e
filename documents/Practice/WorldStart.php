<?php

declare(strict_types=1);

namespace Documents\Practice;

use Documents\Document;
use Larkspur\Flight\Pose;
use Larkspur\Measure\Angle;

/** Where a flight begins, and how it moves then. */
final readonly class WorldStart implements Document
{
    public function __construct(
        public float $eastM, public float $northM, public float $upM, public float $headingDeg, public float $tiltDeg,
        public float $eastMps, public float $northMps, public float $climbMps, public float $turnDps, public float $tiltDps,
    ) {
    }

    public static function of(Pose $pose): self
    {
        return new self(
            $pose->east, $pose->north, $pose->up, $pose->heading / Angle::DEGREE, $pose->tilt / Angle::DEGREE, $pose->eastRate,
            $pose->northRate, $pose->climbRate, $pose->turnRate / Angle::DEGREE, $pose->tiltRate / Angle::DEGREE,
        );
    }
}
