<?php

declare(strict_types=1);

namespace App\Documents;

use Documents\Document;

/** One of several passes. */
final readonly class PassScore implements Document
{
    public function __construct(public int $take, public float $score)
    {
    }
}
