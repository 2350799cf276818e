<?php

declare(strict_types=1);

namespace App\Documents;

use Documents\Document;
use Documents\Person;
use Documents\Training\AdviceDocument;

/** An operator of the class, and what to practise next. */
final readonly class ClassMember implements Document
{
    public function __construct(public Person $operator, public AdviceDocument $advice)
    {
    }
}
