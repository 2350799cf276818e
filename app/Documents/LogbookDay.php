<?php

declare(strict_types=1);

namespace App\Documents;

use Documents\Document;

/** What was practised on a day, in the air and in Fly. */
final readonly class LogbookDay implements Document
{
    /** @param  string  $date  on the clock of the school */
    public function __construct(public string $date, public float $minutes)
    {
    }
}
