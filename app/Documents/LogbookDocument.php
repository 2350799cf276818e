<?php

declare(strict_types=1);

namespace App\Documents;

use Documents\Document;
use Documents\Person;

/** What stands in somebody's logbook, added up, and their own entries. */
final readonly class LogbookDocument implements Document
{
    /**
     * @param  LogbookTotals  $totals
     * @param  list<LogbookMonth>  $months  the latest twelve with takes, oldest first
     * @param  list<OwnEntryDocument>  $entries  the latest first
     * @param  ?int  $goalMin  minutes of practice a day that they want to reach
     * @param  list<AwaitedPass>  $awaited  passes logged in the field whose logs are not here yet, the latest first
     * @param  list<LogbookDay>  $days  of the latest four weeks, each, oldest first
     */
    public function __construct(
        public Person $operator, public LogbookTotals $totals, public array $months, public array $entries, public ?int $goalMin,
        public array $days, public array $awaited,
    ) {
    }
}
