<?php

declare(strict_types=1);

namespace App\Documents;

use Documents\Document;
use Documents\Map;
use Documents\Person;
use Documents\Progress\StandingDocument;
use Larkspur\Fact;

/** One operator in the picture of a class. */
final readonly class GroupRow implements Document
{
    /**
     * @param  list<string|Fact>  $why
     * @param  ?string  $lastFlown  UTC
     * @param  int  $passed  steps
     * @param  Map<StandingDocument>  $standings  by measure, without their bands
     * @param  Map<string>  $states  of the steps, by id
     */
    public function __construct(
        public Person $operator, public float $need, public array $why, public ?string $lastFlown, public int $passed,
        public Map $standings, public Map $states,
    ) {
    }
}
