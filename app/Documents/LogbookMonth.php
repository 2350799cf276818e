<?php

declare(strict_types=1);

namespace App\Documents;

use Documents\Document;

/** Takes of a month, and how many of them automation flew or were practised. */
final readonly class LogbookMonth implements Document
{
    /** @param  string  $month  such as 2026-11 */
    public function __construct(public string $month, public int $takes, public int $automated, public int $practised)
    {
    }
}
