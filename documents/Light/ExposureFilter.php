<?php

declare(strict_types=1);

namespace Documents\Light;

use Documents\Document;
use Larkspur\Camera\ExposurePlan;
use Larkspur\Fact;

/** What the light must lose, and the filter of the bag that comes nearest. */
final readonly class ExposureFilter implements Document
{
    public function __construct(
        public float $stops,
        public Fact $use,
        public float $factor,
        public float $density,
        public float $leftStops,
    ) {
    }

    public static function of(ExposurePlan $plan): self
    {
        $filter = $plan->filter;

        return new self(round($plan->stops, 2), $filter->words(), $filter->factor, round($filter->density(), 2), round($plan->left, 2));
    }
}
