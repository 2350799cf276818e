<?php

declare(strict_types=1);

namespace Larkspur\Geo;

/** A place in a local frame, metres: east, north, up. */
final readonly class Position
{
    public function __construct(public float $east, public float $north, public float $up)
    {
    }

    public function minus(self $other): self
    {
        return new self($this->east - $other->east, $this->north - $other->north, $this->up - $other->up);
    }

    public function plus(float $east, float $north, float $up): self
    {
        return new self($this->east + $east, $this->north + $north, $this->up + $up);
    }

    /** Horizontal distance from the origin of the frame, or length of an offset. */
    public function ground(): float
    {
        return hypot($this->east, $this->north);
    }

    public function length(): float
    {
        return sqrt($this->east ** 2 + $this->north ** 2 + $this->up ** 2);
    }

    /** Direction of this offset over the ground, radians clockwise from north, in (-pi, pi]. */
    public function bearing(): float
    {
        return atan2($this->east, $this->north);
    }
}
