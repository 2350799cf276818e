<?php

declare(strict_types=1);

namespace Larkspur\Flight;

use Larkspur\Geo\Position;

/** Where an aircraft is, which way it and its camera look, and how fast all of that changes. Metres, radians, seconds. */
final readonly class Pose
{
    public function __construct(
        public float $east,
        public float $north,
        public float $up,
        public float $heading,
        public float $tilt,
        public float $eastRate = 0.0,
        public float $northRate = 0.0,
        public float $climbRate = 0.0,
        public float $turnRate = 0.0,
        public float $tiltRate = 0.0,
    ) {
    }

    public function position(): Position
    {
        return new Position($this->east, $this->north, $this->up);
    }
}
