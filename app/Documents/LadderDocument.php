<?php

declare(strict_types=1);

namespace App\Documents;

use Documents\Document;
use Documents\Person;
use Documents\Progress\StepDocument;

/** The ladder with an operator on it. */
final readonly class LadderDocument implements Document
{
    /**
     * @param  int  $version  0 for the one that comes with the application
     * @param  list<StepDocument>  $steps
     * @param  list<StepSayingDocument>  $said  the latest first
     */
    public function __construct(public Person $operator, public int $version, public array $steps, public array $said)
    {
    }
}
