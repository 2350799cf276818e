<?php

declare(strict_types=1);

namespace App\Documents;

use Documents\Document;

/** A key of a second factor, shown once. */
final readonly class NewKeyDocument implements Document
{
    /**
     * @param  string  $key  in base 32, for typing
     * @param  string  $uri  what an authenticator reads from a picture of it
     */
    public function __construct(
        public string $key,
        public string $uri,
    ) {
    }
}
