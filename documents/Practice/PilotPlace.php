<?php

declare(strict_types=1);

namespace Documents\Practice;

use Documents\Document;

/** Where the eyes of the pilot are. */
final readonly class PilotPlace implements Document
{
    public function __construct(public float $eastM, public float $northM, public float $upM)
    {
    }
}
