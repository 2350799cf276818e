<?php

declare(strict_types=1);

namespace Documents\Progress;

use Documents\Document;
use Larkspur\Fact;

/** A move that shows a step. */
final readonly class StepMove implements Document
{
    public function __construct(public string $id, public string|Fact $name)
    {
    }
}
