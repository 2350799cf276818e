<?php

declare(strict_types=1);

namespace App\Documents;

use Documents\Document;

/** How much changed hands. */
final readonly class HandedOver implements Document
{
    public function __construct(
        public int $shots,
        public int $days,
        public int $sites,
    ) {
    }
}
