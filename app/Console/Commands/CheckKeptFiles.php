<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Files\CheckFiles;
use Illuminate\Console\Command;

/** Says which kept logs are missing or cut, and which files nobody wants. */
final class CheckKeptFiles extends Command
{
    protected $signature = 'larkspur:check-files {--mend : bring back what can be, and remove what nobody wants}';

    protected $description = 'Compares the kept logs with their records, byte for byte';

    public function handle(CheckFiles $check): int
    {
        $found = $check($this->option('mend') === true);
        $this->line($found['checked'].' checked');
        foreach (['missing', 'cut', 'orphaned', 'mended'] as $what) {
            foreach ($found[$what] as $path) {
                $this->line("$what: $path");
            }
        }

        return $found['missing'] === [] && $found['cut'] === [] ? self::SUCCESS : self::FAILURE;
    }
}
