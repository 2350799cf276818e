<?php

declare(strict_types=1);

namespace App\Documents;

use Documents\Document;

/** Whether anything is there yet. */
final readonly class FirstStart implements Document
{
    public function __construct(
        public bool $empty,
        public bool $demoUnderWay,
    ) {
    }
}
