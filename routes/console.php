<?php

/** What happens by the clock. */

declare(strict_types=1);

use Illuminate\Support\Facades\Schedule;

Schedule::command('larkspur:resume-imports')->everyTenSeconds()->withoutOverlapping(1);
Schedule::command('larkspur:check-files --mend')->dailyAt('03:20')->withoutOverlapping(120);
// Mondays differ by school; who had it is not sent it twice.
Schedule::command('larkspur:weekly')->hourlyAt(10)->withoutOverlapping(50);
Schedule::command('larkspur:forget')->dailyAt('03:50');
