<?php

declare(strict_types=1);

namespace Documents\Score;

use Documents\Document;

/** Which move a take was judged as. */
final readonly class JudgedMove implements Document
{
    public function __construct(
        public string $id,
        public float $confidence,
        public bool $given,
    ) {
    }
}
