<?php

declare(strict_types=1);

namespace Documents\Training;

use Documents\Document;
use Documents\Score\Facets;

/** Medians of the takes that an advice rests on. */
final readonly class TypicalTake implements Document
{
    public function __construct(public int $takes, public float $score, public Facets $facets)
    {
    }
}
