<?php

declare(strict_types=1);

namespace App\Files;

use App\Models\FlightLog;
use App\Models\Import;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\Storage;

/**
 * Compares every kept log with the record of it, byte for byte, and finds files that no record names. Where it may mend, a log that is
 * missing or cut comes back from whatever file still has its bytes, and what nobody wants goes.
 */
final readonly class CheckFiles
{
    /** A file that no record names may belong to a request that is under way, for so long, seconds. */
    private const MAY_BE_UNDER_WAY = 3600;

    public const LATEST = 'files-checked';

    public function __construct(private Vault $vault)
    {
    }

    /** @return array{checked: int, missing: list<string>, cut: list<string>, orphaned: list<string>, mended: list<string>} */
    public function __invoke(bool $mend): array
    {
        $wanted = [];
        /** @var list<string> $missing */
        $missing = [];
        /** @var list<string> $cut */
        $cut = [];
        foreach (FlightLog::query()->withoutGlobalScopes()->lazyById(500) as $log) {
            $path = $log->path();
            if (isset($wanted[$path])) {
                continue;
            }
            $wanted[$path] = $log->sha256;
            $hash = $this->vault->hashOf($path);
            if ($hash !== $log->sha256) {
                $hash === '' ? $missing[] = $path : $cut[] = $path;
            }
        }
        foreach (Import::query()->withoutGlobalScopes()->whereIn('state', Import::OPEN)->pluck('path') as $path) {
            $wanted[(string) $path] = '';
        }
        $orphaned = $this->orphans($wanted);
        $mended = [];
        if ($mend) {
            $mended = $this->bringBack([...$missing, ...$cut], $wanted, $orphaned);
            if (! Storage::exists(Vault::HOLD)) {
                Storage::delete($orphaned);
            }
        }
        $found = [
            'checked' => count($wanted), 'missing' => array_values(
                array_diff($missing, $mended),
            ), 'cut' => array_values(array_diff($cut, $mended)),
            'orphaned' => $orphaned, 'mended' => $mended,
        ];
        Cache::forever(self::LATEST, ['at' => now()->getTimestamp(), 'missing' => count($found['missing']), 'cut' => count($found['cut'])]);

        return $found;
    }

    /**
     * @param  array<string, string>  $wanted
     * @return list<string>
     */
    private function orphans(array $wanted): array
    {
        $orphaned = [];
        foreach ([...Storage::allFiles('logs'), ...Storage::allFiles('uploads')] as $path) {
            if (! isset($wanted[$path]) && Storage::lastModified($path) < now()->getTimestamp() - self::MAY_BE_UNDER_WAY) {
                $orphaned[] = $path;
            }
        }

        return $orphaned;
    }

    /**
     * @param  list<string>  $broken
     * @param  array<string, string>  $wanted  hashes, by path
     * @param  list<string>  $orphaned
     * @return list<string> those that are whole again
     */
    private function bringBack(array $broken, array $wanted, array $orphaned): array
    {
        $mended = [];
        $byHash = [];
        foreach ($broken === [] ? [] : [...$orphaned, ...Storage::allFiles('uploads'), ...array_keys($wanted)] as $path) {
            $byHash[$this->vault->hashOf($path)] = $path;
        }
        foreach ($broken as $path) {
            $from = $byHash[$wanted[$path]] ?? null;
            $stream = $from === null ? null : Storage::readStream($from);
            if ($stream !== null && $this->vault->keep($path, $stream) === $wanted[$path]) {
                $mended[] = $path;
            }
        }

        return $mended;
    }
}
