<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\FlightDay;

/** Thrown where a day was saved by somebody else after it was opened. */
final class DayChanged extends \RuntimeException
{
    public function __construct(public readonly FlightDay $latest)
    {
        parent::__construct('Somebody changed this day while you worked on it. Load it again; what was ticked and flown is safe in any case.');
    }
}
