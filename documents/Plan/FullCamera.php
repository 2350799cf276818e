<?php

declare(strict_types=1);

namespace Documents\Plan;

use Documents\Document;
use Larkspur\Camera\Lens;
use Larkspur\Measure\Angle;

/** A field of view, degrees, and the shape of the frame. */
final readonly class FullCamera implements Document
{
    public function __construct(
        public float $hfovDeg,
        public float $vfovDeg,
        public float $aspect,
    ) {
    }

    public static function of(Lens $lens): self
    {
        return new self(round($lens->horizontal / Angle::DEGREE, 3), round($lens->vertical() / Angle::DEGREE, 3), round($lens->aspect, 5));
    }
}
