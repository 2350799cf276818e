<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Actions\ImportLog;
use App\Models\Import;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Larkspur\Fact;
use Throwable;

/**
 * Reads an upload in the background; how far it is stands in the import's record, and so does who works on it. A job is only a call to look
 * at that record: one that comes twice, or late, does nothing.
 */
final class ReadUpload implements ShouldQueue
{
    use Queueable;

    /** The record counts how often it was begun. */
    public int $tries = 0;

    /** A 256 MB log takes minutes. */
    public int $timeout = 600;

    public bool $failOnTimeout = true;

    public function __construct(private readonly int $import)
    {
    }

    public function handle(ImportLog $read): void
    {
        $record = Import::query()->find($this->import);
        if ($record === null) {
            return;
        }
        try {
            $read($record);
        } catch (Throwable $error) {
            // It stands in the record already; the worker goes on with the next.
            report($error);
        }
    }

    /** It took too long: the worker is ended, and the log says why. */
    public function failed(): void
    {
        $record = Import::query()->find($this->import);
        if ($record !== null && in_array($record->state, Import::AT_WORK, true)) {
            $record->update([
                'state' => Import::FAILED, 'leased_by' => null, 'leased_until' => null,
                'outcome' => [
                    'message' => Fact::of('import.took-too-long', minutes: intdiv($this->timeout, 60)), 'place' => '', 'expected' => null,
                ],
            ]);
        }
    }
}
