<?php

declare(strict_types=1);

namespace App\Documents;

use Documents\Document;
use Documents\Move\LessonFlight;
use Documents\Plan\PlanDocument;
use Documents\Shape;

/** Good beside bad: a shot flown clean, and again by the same hands with one fault. */
final readonly class PairDocument implements Document
{
    /**
     * @param  array<string, mixed>  $site
     * @param  list<SpotChoice>  $choices  faults that it may be flown with
     */
    public function __construct(
        public PlanDocument $plan, #[Shape('SiteDocument')] public array $site, public LessonFlight $good, public LessonFlight $bad,
        public array $choices,
    ) {
    }
}
