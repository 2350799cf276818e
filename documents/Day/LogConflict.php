<?php

declare(strict_types=1);

namespace Documents\Day;

use Documents\Document;
use Larkspur\Fact;

/** Two entries made without knowing of one another that say different things. */
final readonly class LogConflict implements Document
{
    public function __construct(public string $item, public Fact $text)
    {
    }
}
