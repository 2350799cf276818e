<?php

declare(strict_types=1);

namespace Documents\Plan;

use Documents\Document;

/** What lies between first motion and the first wanted frame. */
final readonly class RunIn implements Document
{
    public function __construct(
        public float $seconds,
        public float $metres,
    ) {
    }
}
