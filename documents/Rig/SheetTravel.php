<?php

declare(strict_types=1);

namespace Documents\Rig;

use Documents\Document;

/** What run and slide share, as a vector: m/s in one step. */
final readonly class SheetTravel implements Document
{
    public function __construct(public float $acceleratePerStep, public float $brakePerStep)
    {
    }
}
