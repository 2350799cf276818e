<?php

declare(strict_types=1);

namespace App\Documents;

use Documents\Document;

/** What a light meter reads. */
final readonly class MeterReading implements Document
{
    public function __construct(public float $ev, public bool $simulated)
    {
    }
}
