<?php

declare(strict_types=1);

namespace App\Documents;

use Documents\Document;
use Documents\Person;
use Larkspur\Fact;

/** What a change of the ladder would do to somebody's step. */
final readonly class LadderEffect implements Document
{
    /** @param  string|Fact|null  $to  null where the step is gone; what was signed off stays on record */
    public function __construct(
        public Person $operator, public string|Fact $step, public string|Fact|null $from, public string|Fact|null $to, public bool $signed,
    ) {
    }
}
