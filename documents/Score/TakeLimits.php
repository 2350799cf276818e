<?php

declare(strict_types=1);

namespace Documents\Score;

use Documents\Document;

/** Where a take and its hold lie in the log, s. */
final readonly class TakeLimits implements Document
{
    public function __construct(
        public float $fromS,
        public float $toS,
        public float $holdFromS,
        public float $holdToS,
    ) {
    }
}
