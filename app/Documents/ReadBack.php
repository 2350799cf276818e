<?php

declare(strict_types=1);

namespace App\Documents;

use Documents\Document;

/** What became of a logbook that was read in. */
final readonly class ReadBack implements Document
{
    /**
     * @param  int  $added  flights without a log
     * @param  int  $known  lines that stood here already
     * @param  int  $unread  lines without a moment or a length that can be
     * @param  list<int>  $lines  the first of those, as a text editor counts
     */
    public function __construct(public int $added, public int $known, public int $unread, public array $lines)
    {
    }
}
