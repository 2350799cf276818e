<?php

declare(strict_types=1);

namespace Documents\Log;

use Documents\Document;

/** What a column is taken for, and why. */
final readonly class GuessedColumn implements Document
{
    /** @param  list<string>  $samples  three of its values */
    public function __construct(
        public string $column,
        public string $unit,
        public bool $sure,
        public string $why,
        public array $samples,
    ) {
    }
}
