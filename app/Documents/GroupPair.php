<?php

declare(strict_types=1);

namespace App\Documents;

use Documents\Document;
use Documents\Person;
use Larkspur\Fact;

/** Somebody who is good at what somebody else is stuck on. */
final readonly class GroupPair implements Document
{
    public function __construct(public Person $shows, public Person $learns, public string|Fact $what)
    {
    }
}
