<?php

declare(strict_types=1);

namespace Documents\Practice;

use Documents\Document;

/** What of a craft a step needs beside its response sheet. */
final readonly class WorldCraft implements Document
{
    /**
     * @param  float  $coastS  time in which drag alone takes its speed through the air
     * @param  float  $gimbalStopDeg  above the craft's own level
     * @param  float  $leanShare  of the lean that its motion needs, taken in a step
     * @param  ?float  $cameraDeg  of a fixed camera, above the craft's own level
     * @param  bool  $pictureRolls  with the craft: a fixed camera, or a gimbal that is let
     * @param  float  $levelOffsetDeg  by how much the horizon is off besides, positive leans right
     */
    public function __construct(
        public float $radiusM, public float $airspeedMps, public float $coastS, public float $gustCoupling, public float $gimbalStopDeg,
        public float $leanShare, public float $gravityMps2, public float $landingSinkMps, public float $landingSpeedMps,
        public float $mostLeanDeg, public ?float $cameraDeg, public bool $pictureRolls, public float $levelOffsetDeg,
    ) {
    }
}
