<?php

declare(strict_types=1);

namespace App\Documents;

use Documents\Document;

/** Sums over a logbook. Air time is that of the takes, run-up and way home left out, and of the entries made by hand. */
final readonly class LogbookTotals implements Document
{
    /**
     * @param  int  $byHand  with a craft
     * @param  float  $takenMin  minutes of takes with a craft
     * @param  float  $practisedMin  minutes of passes in Fly
     * @param  int  $clockwise  or to the right
     * @param  int  $days  on which anything was flown
     * @param  int  $batteries  of the entries made by hand
     */
    public function __construct(
        public int $takes, public int $byHand, public int $practised, public int $automated, public float $takenMin,
        public float $practisedMin, public int $clockwise,
        public int $counterclockwise, public int $slow, public int $days, public int $moves, public int $entries, public float $enteredMin,
        public int $batteries,
    ) {
    }
}
