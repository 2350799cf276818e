<?php

declare(strict_types=1);

namespace App\Documents;

use Documents\Document;

/** A take of a shot under the name by which it is compared, such as “Take 3”. */
final readonly class NamedTake implements Document
{
    public function __construct(public string $name, public TakeDocument $take)
    {
    }
}
