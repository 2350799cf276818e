<?php

declare(strict_types=1);

namespace App\Documents;

use Documents\Document;

/** A token that was just made, with its secret. */
final readonly class MadeToken implements Document
{
    /**
     * @param  string  $secret  shown once
     */
    public function __construct(
        public string $secret,
        public TokenDocument $token,
    ) {
    }
}
