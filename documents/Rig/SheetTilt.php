<?php

declare(strict_types=1);

namespace Documents\Rig;

use Documents\Document;

/** How far the gimbal tilts. */
final readonly class SheetTilt implements Document
{
    public function __construct(public float $lowDeg, public float $highDeg)
    {
    }
}
