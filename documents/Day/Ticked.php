<?php

declare(strict_types=1);

namespace Documents\Day;

use Documents\Document;

/** An item that was ticked, or taken back. */
final readonly class Ticked implements Document
{
    public function __construct(public bool $on, public string $by, public string $at)
    {
    }
}
