<?php

declare(strict_types=1);

namespace App\Documents;

use Documents\Document;

/** A stretch of a plan that is worth flying again and again. */
final readonly class LoopStretch implements Document
{
    public function __construct(public float $fromS, public float $toS)
    {
    }
}
