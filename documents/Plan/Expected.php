<?php

declare(strict_types=1);

namespace Documents\Plan;

use Documents\Document;
use Documents\Score\Facets;
use Larkspur\Fact;

/** What a plan would score. */
final readonly class Expected implements Document
{
    /**
     * @param  'keep'|'fix'|'again'|'other'|'open'  $verdict
     */
    public function __construct(
        public float $score,
        public string $verdict,
        public Facets $facets,
        public ?Fact $limitedBy,
    ) {
    }
}
