<?php

declare(strict_types=1);

namespace App\Documents;

use Documents\Document;

/** Codes that are good once each, for when the device is lost; shown once. */
final readonly class SpareCodes implements Document
{
    /**
     * @param  list<string>  $codes
     */
    public function __construct(
        public array $codes,
    ) {
    }
}
