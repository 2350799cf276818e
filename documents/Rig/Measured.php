<?php

declare(strict_types=1);

namespace Documents\Rig;

use Documents\Document;

/** A number that was measured, and its standard deviation. */
final readonly class Measured implements Document
{
    public function __construct(public float $value, public float $sd)
    {
    }

    /** @param  float  $scale  from what core/ counts in to what is shown */
    public static function of(float $value, float $sd, float $scale = 1.0): self
    {
        return new self(round($value * $scale, 3), round($sd * $scale, 3));
    }
}
