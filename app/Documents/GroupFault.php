<?php

declare(strict_types=1);

namespace App\Documents;

use Documents\Document;
use Documents\Person;
use Larkspur\Fact;

/** A fault that many of a class make. */
final readonly class GroupFault implements Document
{
    /** @param  list<Person>  $who */
    public function __construct(public string $id, public string|Fact $name, public string|Fact $cure, public array $who)
    {
    }
}
