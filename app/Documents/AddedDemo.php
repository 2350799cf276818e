<?php

declare(strict_types=1);

namespace App\Documents;

use Documents\Document;

/** Who signs in to the demo school. */
final readonly class AddedDemo implements Document
{
    public function __construct(
        public string $trainer,
        public string $operator,
        public string $password,
    ) {
    }
}
