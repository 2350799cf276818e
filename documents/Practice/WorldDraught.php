<?php

declare(strict_types=1);

namespace Documents\Practice;

use Documents\Document;

/** Air that pushes in one place. */
final readonly class WorldDraught implements Document
{
    public function __construct(
        public float $eastM, public float $northM, public float $radiusM, public float $eastMps, public float $northMps,
    ) {
    }
}
