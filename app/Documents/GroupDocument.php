<?php

declare(strict_types=1);

namespace App\Documents;

use Documents\Document;

/** The class at a glance. */
final readonly class GroupDocument implements Document
{
    /**
     * @param  list<GroupRow>  $rows  who needs the trainer most first
     * @param  list<GroupStep>  $steps  of the ladder
     * @param  list<GroupFault>  $common  what many get wrong
     * @param  list<GroupPair>  $pairs
     * @param  list<string>  $cohorts  of the school
     */
    public function __construct(
        public array $rows, public array $steps, public array $common, public array $pairs, public array $cohorts,
    ) {
    }
}
