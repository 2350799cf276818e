<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\KeptFilter;
use Documents\Document;
use Documents\Map;

/** A filter of the logbook, under a name. */
final readonly class KeptFilterDocument implements Document
{
    /** @param  Map<string>  $filter  as the list of takes is asked */
    public function __construct(public int $id, public string $name, public Map $filter)
    {
    }

    public static function of(KeptFilter $kept): self
    {
        return new self($kept->id, $kept->name, new Map($kept->filter));
    }
}
