<?php

declare(strict_types=1);

namespace Larkspur\Flight;

use Larkspur\Geo\Position;

/**
 * Where an aircraft is, which way it and its camera look, how it leans, and how fast all of that changes. Metres, radians, seconds.
 */
final readonly class Pose
{
    /**
     * @param  float  $leanAhead  nose down is positive
     * @param  float  $leanRight  right side down is positive
     * @param  float  $thrust  of a ducted craft, multiples of its weight
     */
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
        public float $leanAhead = 0.0,
        public float $leanRight = 0.0,
        public float $thrust = 1.0,
    ) {
    }

    public function position(): Position
    {
        return new Position($this->east, $this->north, $this->up);
    }

    public function leaning(float $ahead, float $right): self
    {
        return new self(
            $this->east, $this->north, $this->up, $this->heading, $this->tilt, $this->eastRate, $this->northRate, $this->climbRate,
            $this->turnRate, $this->tiltRate, $ahead, $right, $this->thrust,
        );
    }

    /** At rest where it is, on the ground at a height. */
    public function standing(float $up): self
    {
        return new self($this->east, $this->north, $up, $this->heading, $this->tilt, thrust: $this->thrust);
    }

    /** Speed over the ground, m/s. */
    public function speed(): float
    {
        return hypot($this->eastRate, $this->northRate);
    }
}
