<?php

declare(strict_types=1);

namespace App\Documents;

use Documents\Document;

/** Two cohorts beside each other, as far as so few people can say anything. */
final readonly class CohortsDocument implements Document
{
    /**
     * @param  int  $people  of the one
     * @param  list<CohortMeasure>  $measures
     */
    public function __construct(public string $one, public int $people, public string $other, public int $others, public array $measures)
    {
    }
}
