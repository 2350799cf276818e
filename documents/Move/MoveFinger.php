<?php

declare(strict_types=1);

namespace Documents\Move;

use Documents\Document;

/** One finger of a move: which way it goes, and in which group it leaves its rest. */
final readonly class MoveFinger implements Document
{
    public function __construct(
        public string $finger,
        public string $way,
        public int $group,
        public bool $optional,
    ) {
    }
}
