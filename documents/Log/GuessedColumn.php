<?php

declare(strict_types=1);

namespace Documents\Log;

use Documents\Document;

/** What a column is taken for, and why. */
final readonly class GuessedColumn implements Document
{
    public function __construct(
        public string $column,
        public string $unit,
        public bool $sure,
        public string $why,
    ) {
    }
}
