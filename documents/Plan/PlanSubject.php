<?php

declare(strict_types=1);

namespace Documents\Plan;

use Documents\Document;

/** What is filmed, where it is at first motion, m. */
final readonly class PlanSubject implements Document
{
    public function __construct(
        public float $eastM,
        public float $northM,
        public float $upM,
        public float $groundM,
    ) {
    }
}
