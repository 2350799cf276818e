<?php

declare(strict_types=1);

namespace Documents\Day;

use Documents\Document;

/** A pass that was flown, and what was thought of it on the spot. */
final readonly class FlownPass implements Document
{
    public function __construct(
        public string $uuid,
        public int $number,
        public string $verdict,
        public string $note,
        public string $by,
        public string $at,
    ) {
    }
}
