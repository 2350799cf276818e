<?php

declare(strict_types=1);

namespace Larkspur\Camera;

/**
 * A place in the frame: u to the right and v upward from the centre, in fractions of its width and height (edges at
 * +-0.5), and how far before the lens it lies, m.
 */
final readonly class FramePoint
{
    public function __construct(public float $u, public float $v, public float $depth)
    {
    }

    public function isInside(): bool
    {
        return $this->depth > 0 && abs($this->u) <= 0.5 && abs($this->v) <= 0.5;
    }
}
