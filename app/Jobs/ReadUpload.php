<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Actions\ImportLog;
use App\Models\Import;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Reads an upload in the background; its progress stands in the import's record. */
final class ReadUpload implements ShouldQueue
{
    use Queueable;

    public int $tries = 1;

    /** A 256 MB log takes minutes. */
    public int $timeout = 1800;

    public function __construct(private readonly int $import)
    {
    }

    public function handle(ImportLog $import): void
    {
        $record = Import::query()->find($this->import);
        if ($record !== null && $record->state === Import::WAITING) {
            $import($record);
        }
    }
}
