<?php

declare(strict_types=1);

namespace Documents\Rig;

use Documents\Document;

/** What a rig looks through. */
final readonly class RigCamera implements Document
{
    /** @param  ?float  $focalMm  null where only the angle is known */
    public function __construct(public float $hfovDeg, public float $aspect, public ?float $focalMm)
    {
    }

    /** @param  array{hfov_deg: float, aspect: float, focal_mm?: ?float}  $camera  in the form of a rig's record */
    public static function of(array $camera): self
    {
        return new self($camera['hfov_deg'], $camera['aspect'], $camera['focal_mm'] ?? null);
    }
}
