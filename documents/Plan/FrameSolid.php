<?php

declare(strict_types=1);

namespace Documents\Plan;

use Documents\Document;

/** Something that stands in a picture: its outline in ten-thousandths of the frame. */
final readonly class FrameSolid implements Document
{
    /**
     * @param  list<array{int, int}>  $outline
     */
    public function __construct(
        public string $id,
        public bool $subject,
        public array $outline,
    ) {
    }
}
