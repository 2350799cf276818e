<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Actions\ImportLog;
use App\Models\Import;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Facades\Storage;
use Larkspur\Fact;

/** Reads an upload in the background; its progress stands in the import's record. */
final class ReadUpload implements ShouldQueue
{
    use Queueable;

    private const UNDER_WAY = [Import::WAITING, Import::READING, Import::JUDGING];

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

    /** A worker that was ended in the middle of it leaves no log on its way for ever: it says so, and may be sent again. */
    public function failed(): void
    {
        $record = Import::query()->find($this->import);
        if ($record === null || ! in_array($record->state, self::UNDER_WAY, true)) {
            return;
        }
        Storage::delete($record->path);
        $record->update(['state' => Import::REFUSED, 'outcome' => [
            'message' => Fact::of('import.broke-off'), 'place' => '', 'expected' => Fact::of('expected.file-sent-again'),
        ]]);
    }
}
