<?php

declare(strict_types=1);

namespace App\Running;

use App\Files\FreeSpace;
use App\Files\Vault;
use App\Models\Import;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Throwable;

/** How the server does: read off what is there in a few small queries, and never guessed. */
final readonly class ServerState
{
    /** A worker says that it is there every few seconds; it is missed after so many. */
    private const MISSED_AFTER = 60;

    /** So long a log may wait before somebody should know, seconds. */
    private const LATE_AFTER = 120;

    /** Where the workers that were seen, and when, are noted. */
    private const WORKERS = 'workers-seen';

    /**
     * @param  int  $workers  that were seen within a minute
     * @param  array<string, int>  $imports  under way or waiting for somebody, by state
     * @param  int  $stalled  logs that should go on and show no sign of it
     * @param  ?float  $oldestS  how long the oldest log has been under way
     * @param  int  $failedJobs  of the last day
     * @param  ?int  $freeBytes  null where the disk doesn't tell
     */
    private function __construct(
        public bool $database,
        public bool $storage,
        public int $workers,
        public array $imports,
        public int $stalled,
        public ?float $oldestS,
        public int $failedJobs,
        public ?int $freeBytes,
    ) {
    }

    public static function now(): self
    {
        $free = app(FreeSpace::class)->bytes();
        try {
            DB::select('SELECT 1');
        } catch (Throwable) {
            return new self(false, self::storageTakes(), 0, [], 0, null, 0, $free);
        }
        $imports = DB::table('imports')->whereIn('state', Import::OPEN)->groupBy('state')
            ->selectRaw('state, COUNT(*) AS many')->pluck('many', 'state')->map(static fn (mixed $many): int => (int) $many)->all();
        $query = Import::query()->withoutGlobalScopes();
        $query->whereIn('state', Import::UNDER_WAY)->orderBy('queued_at')->limit(200);
        $underWay = $query->get();
        $oldest = $underWay->first();

        return new self(
            true, self::storageTakes(), self::workersSeen(), $imports, $underWay->filter(static fn (Import $one): bool => $one->isStalled())
                ->count(),
            $oldest === null ? null : round(($oldest->queued_at ?? $oldest->created_at)->diffInSeconds(now()), 1),
            DB::table('failed_jobs')->where('failed_at', '>', now()->subDay())->count(), $free,
        );
    }

    /** Noted by a worker, of itself. */
    public static function seen(string $worker): void
    {
        Cache::put(self::WORKERS.'.'.$worker, now()->getTimestamp(), 86400);
        $known = Cache::get(self::WORKERS, []);
        if (! in_array($worker, is_array($known) ? $known : [], true)) {
            Cache::forever(self::WORKERS, [...is_array($known) ? $known : [], $worker]);
        }
    }

    /** Whether there is room for what is taken in. */
    public function hasRoom(): bool
    {
        return $this->freeBytes === null || $this->freeBytes >= config()->integer('larkspur.reserve');
    }

    public function isLate(): bool
    {
        return $this->stalled > 0 || ($this->oldestS ?? 0.0) > self::LATE_AFTER;
    }

    /** @return 'down'|'poor'|'well' down: no page can be answered; poor: pages are, and something waits or will be refused */
    public function word(): string
    {
        return match (true) {
            ! $this->database || ! $this->storage => 'down',
            $this->isLate() || $this->workers === 0 || ! $this->hasRoom() => 'poor',
            default => 'well',
        };
    }

    private static function workersSeen(): int
    {
        $known = Cache::get(self::WORKERS, []);
        $since = now()->getTimestamp() - self::MISSED_AFTER;
        $seen = array_filter(is_array($known) ? $known : [], static fn (mixed $worker): bool => is_string($worker)
            && (int) Cache::get(self::WORKERS.'.'.$worker, 0) >= $since);
        // One that is at a log shows it there.
        $busy = Import::query()->withoutGlobalScopes()->whereIn('state', Import::AT_WORK)
            ->where('seen_at', '>=', now()->subSeconds(self::MISSED_AFTER))
            ->pluck('leased_by')->map(static fn (mixed $by): string => strstr((string) $by, '#', true) ?: '')->all();

        return count(array_unique([...array_values($seen), ...array_filter($busy)]));
    }

    private static function storageTakes(): bool
    {
        try {
            if (Vault::isLocal()) {
                return is_writable(Storage::path(''));
            }

            return Storage::put('seen', '1');
        } catch (Throwable) {
            return false;
        }
    }
}
