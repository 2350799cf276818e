<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\School as SchoolRecord;
use Demo\School;
use Illuminate\Console\Command;

/** Loads the demo school, once. */
final class LoadDemo extends Command
{
    protected $signature = 'larkspur:demo {--check : only say whether a school is there}';

    protected $description = 'Load the Skerrow demo school, unless a school is there already';

    public function handle(School $school): int
    {
        if ($this->option('check') === true) {
            $this->line(SchoolRecord::query()->exists() ? 'there' : 'none');

            return self::SUCCESS;
        }
        if (SchoolRecord::query()->exists()) {
            $this->line('A school is there already; nothing was changed.');

            return self::SUCCESS;
        }
        $school->load(fn (string $message) => $this->line($message));

        return self::SUCCESS;
    }
}
