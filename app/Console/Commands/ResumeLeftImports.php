<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Imports\ResumeImports;
use Illuminate\Console\Command;

/** Takes up the logs that a worker left when it ended. */
final class ResumeLeftImports extends Command
{
    protected $signature = 'larkspur:resume-imports {--worker= : name of a worker that has just started}';

    protected $description = 'Takes up the logs that a worker left when it ended';

    public function handle(ResumeImports $resume): int
    {
        $worker = $this->option('worker');
        $this->info($resume(is_string($worker) && $worker !== '' ? $worker : null).' taken up');

        return self::SUCCESS;
    }
}
