<?php

declare(strict_types=1);

namespace Documents\Day;

use Documents\Document;

/** A pass that was flown, what was thought of it on the spot, and the take of its log where that has been read. */
final readonly class FlownPass implements Document
{
    public function __construct(
        public string $uuid,
        public int $number,
        public string $verdict,
        public string $note,
        public string $by,
        public string $at,
        public ?int $takeId,
    ) {
    }
}
