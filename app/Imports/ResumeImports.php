<?php

declare(strict_types=1);

namespace App\Imports;

use App\Models\Import;
use Illuminate\Support\Facades\Queue;
use Larkspur\Fact;

/**
 * Takes up what a worker left when it ended: the log goes on with another, or says that it failed. Run when a worker starts, and by the
 * clock for workers that never come back.
 */
final readonly class ResumeImports
{
    /** A log waits so long before its place in the queue is doubted, seconds. */
    private const DOUBTED_AFTER = 60;

    /** @param  ?string  $worker  one that has just started: whatever it held, it holds no longer */
    public function __invoke(?string $worker = null): int
    {
        if ($worker !== null) {
            Import::query()->withoutGlobalScopes()->whereIn('state', Import::AT_WORK)
                ->where('leased_by', 'like', addcslashes($worker, '%_\\').'#%')
                ->update(['leased_until' => now()->subSecond()]);
        }
        $query = Import::query()->withoutGlobalScopes()
            ->where(static fn ($lapsed) => $lapsed->whereNull('leased_until')->orWhere('leased_until', '<', now()));
        $query->whereIn('state', Import::AT_WORK)->orderBy('id');
        $left = $query->get();
        foreach ($left as $import) {
            $this->takeUp($import);
        }

        return $left->count() + $this->forgotten();
    }

    private function takeUp(Import $import): void
    {
        if ($import->tries < Lease::TRIES) {
            $import->queue($import->tries);

            return;
        }
        $import->update([
            'state' => Import::FAILED, 'leased_by' => null, 'leased_until' => null,
            'outcome' => ['message' => Fact::of('import.broke-off', tries: $import->tries), 'place' => '', 'expected' => null],
        ]);
    }

    /** Logs that wait while nothing stands in the queue: whoever took them in ended before they were put there. */
    private function forgotten(): int
    {
        $query = Import::query()->withoutGlobalScopes()->where('state', Import::WAITING)
            ->where('queued_at', '<', now()->subSeconds(self::DOUBTED_AFTER));
        $query->orderBy('id')->limit(200);
        $waiting = $query->get();
        if ($waiting->isEmpty() || Queue::connection()->pendingSize() > 0) {
            return 0;
        }
        foreach ($waiting as $import) {
            $import->queue($import->tries);
        }

        return $waiting->count();
    }
}
