<?php

declare(strict_types=1);

namespace App\Documents;

use Documents\Document;

/** An operator of the class, and how many takes of theirs there are. */
final readonly class OperatorDocument implements Document
{
    public function __construct(public int $id, public string $name)
    {
    }
}
