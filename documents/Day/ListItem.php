<?php

declare(strict_types=1);

namespace Documents\Day;

use Documents\Document;
use Larkspur\Fact;

/** One thing to tick. */
final readonly class ListItem implements Document
{
    public function __construct(public string $id, public Fact $text)
    {
    }
}
