<?php

declare(strict_types=1);

namespace App\Documents;

use Documents\Document;
use Larkspur\Fact;

/** A step as a column of the picture of a class. */
final readonly class GroupStep implements Document
{
    public function __construct(public string $id, public string|Fact $name, public int $rank, public int $passed)
    {
    }
}
