<?php

declare(strict_types=1);

namespace App\Imports;

use App\Models\Import;
use App\Progress\OperatorRecord;
use Closure;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/**
 * The right to work on one log: one holder at a time, for as long as it shows signs of life. What it comes to is written only while the
 * lease is held, in one transaction, so that a log that two workers were given is kept once.
 */
final readonly class Lease
{
    /** How long a holder may be silent, seconds. Reading says something every few megabytes, judging after every take. */
    public const SECONDS = 120;

    /** How often a log is begun before it is said to have failed. */
    public const TRIES = 3;

    private function __construct(private Import $import, private string $holder)
    {
    }

    /** Takes the log, if it waits for somebody; null where somebody has it, or where it has ended. */
    public static function take(Import $import): ?self
    {
        $holder = self::worker().'#'.Str::random(8);
        $taken = Import::query()->withoutGlobalScopes()->whereKey($import->id)->where('state', Import::WAITING)
            ->where(static fn ($free) => $free->whereNull('leased_until')->orWhere('leased_until', '<', now()))
            ->update([
                'state' => Import::READING, 'leased_by' => $holder, 'leased_until' => now()->addSeconds(self::SECONDS), 'seen_at' => now(),
                'tries' => DB::raw('tries + 1'), 'bytes_read' => 0,
            ]);
        if ($taken === 0) {
            return null;
        }
        $import->refresh();

        return new self($import, $holder);
    }

    /** The name of this worker, the same after it was started anew: what its predecessor held is free then. */
    public static function worker(): string
    {
        $worker = $_SERVER['LARKSPUR_WORKER'] ?? null;

        return is_string($worker) ? $worker : 'web-'.gethostname();
    }

    /**
     * A sign of life.
     *
     * @param  array<string, mixed>  $progress
     *
     * @throws LeaseLost
     */
    public function renew(array $progress = []): void
    {
        $held = Import::query()->withoutGlobalScopes()->whereKey($this->import->id)->where('leased_by', $this->holder)
            ->update([...$progress, 'leased_until' => now()->addSeconds(self::SECONDS), 'seen_at' => now()]);
        // MariaDB counts changed rows: within one second nothing changes.
        if ($held === 0) {
            $this->check(false);
        }
        $this->import->forceFill($progress)->syncOriginalAttributes(array_keys($progress));
    }

    /**
     * Writes the end of the work, together with what $keep writes: all of it or nothing.
     *
     * @param  Closure(): array<string, mixed>  $keep  what the import is from now on
     *
     * @throws LeaseLost
     */
    public function end(Closure $keep): void
    {
        DB::transaction(function () use ($keep): void {
            OperatorRecord::hold($this->import->owner_id);
            $this->check(true);
            $this->import->update([...$keep(), 'leased_by' => null, 'leased_until' => null, 'seen_at' => now()]);
        }, self::ANEW);
    }

    /** So often it is written anew where another writer stood in the way; nothing of it is kept twice. */
    private const ANEW = 5;

    /** @throws LeaseLost */
    private function check(bool $lock): void
    {
        $query = Import::query()->withoutGlobalScopes()->whereKey($this->import->id)->where('leased_by', $this->holder);
        if (! ($lock ? $query->lockForUpdate() : $query)->exists()) {
            throw new LeaseLost('Import '.$this->import->id);
        }
    }
}
