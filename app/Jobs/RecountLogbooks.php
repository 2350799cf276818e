<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Progress\LogbookDays;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Counts the logbooks of a school anew, in the background: its clock was changed, so midnight lies elsewhere. */
final class RecountLogbooks implements ShouldQueue
{
    use Queueable;

    public int $tries = 3;

    public int $timeout = 590;

    public function __construct(private readonly int $school)
    {
    }

    public function handle(): void
    {
        LogbookDays::recountSchool($this->school);
    }
}
