<?php

declare(strict_types=1);

namespace Documents\Move;

use Documents\Document;
use Larkspur\Fact;

/** What typically goes wrong in a move. */
final readonly class MoveFault implements Document
{
    public function __construct(
        public string $id,
        public Fact $name,
        public Fact $cue,
    ) {
    }
}
