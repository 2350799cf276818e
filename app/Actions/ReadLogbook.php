<?php

declare(strict_types=1);

namespace App\Actions;

use App\Documents\ReadBack;
use App\Models\OwnEntry;
use App\Models\Take;
use App\Models\User;
use App\Progress\Logbook;
use DateTimeImmutable;
use DateTimeZone;
use Illuminate\Support\Facades\DB;
use Larkspur\Fact;
use Larkspur\Move\Catalogue;
use Larkspur\Refusal;

/**
 * Reads a logbook back in, as its file has it (CSV, RFC 4180). A line that is here already is left alone, so that a file can be read twice.
 * A take without its log can't be judged again: it is kept as a flight without a log, with the score as it was written.
 */
final readonly class ReadLogbook
{
    /** So many lines at once. */
    private const MOST = 20000;

    /** Lines that are named with what is wrong in them. */
    private const TOLD = 5;

    public function __invoke(User $operator, string $path): ReadBack
    {
        $file = fopen($path, 'rb');
        if ($file === false) {
            throw new Refusal(Fact::of('logbook.cannot-be-read'), 'file');
        }
        $columns = array_map(
            static fn (?string $cell): string => trim((string) $cell, " \t\"\u{FEFF}"), fgetcsv($file, null, ',', '"', '') ?: [],
        );
        if (! in_array('flown_at_utc', $columns, true) || ! in_array('seconds', $columns, true)) {
            throw new Refusal(Fact::of('logbook.other-columns'), 'file', Fact::name(implode(', ', Logbook::COLUMNS)));
        }
        $here = self::here($operator);
        $added = $known = 0;
        $bad = $met = [];
        DB::transaction(static function () use ($file, $columns, $operator, $here, &$met, &$added, &$known, &$bad): void {
            for ($line = 2; ($cells = fgetcsv($file, null, ',', '"', '')) !== false; $line++) {
                if ($cells === [null]) {
                    continue;
                }
                if ($line > self::MOST + 1) {
                    throw new Refusal(Fact::of('logbook.too-long', most: self::MOST), 'file');
                }
                $row = self::row($columns, $cells);
                if ($row === null) {
                    $bad[] = $line;

                    continue;
                }
                // Two flights that were written down for the same day and length are two, here and in the file.
                $met[$row['key']] = ($met[$row['key']] ?? 0) + 1;
                if ($met[$row['key']] <= ($here[$row['key']] ?? 0)) {
                    $known++;
                } else {
                    $added++;
                    OwnEntry::query()->create([...$row['entry'], 'school_id' => $operator->school_id, 'operator_id' => $operator->id]);
                }
            }
        });
        fclose($file);

        return new ReadBack($added, $known, count($bad), array_slice($bad, 0, self::TOLD));
    }

    /** @return array<string, int> how often what stands in the logbook, by moment and length */
    private static function here(User $operator): array
    {
        $here = [];
        foreach (Take::query()->where('operator_id', $operator->id)->select('id', 'flown_at', 'from_s', 'to_s')->lazyById(1000) as $take) {
            $key = self::key((float) $take->flown_at->getTimestamp(), $take->to_s - $take->from_s);
            $here[$key] = ($here[$key] ?? 0) + 1;
        }
        foreach (OwnEntry::query()->where('operator_id', $operator->id)->lazyById(1000) as $entry) {
            $key = self::key((float) $entry->flown_at->getTimestamp(), 60 * $entry->minutes);
            $here[$key] = ($here[$key] ?? 0) + 1;
        }

        return $here;
    }

    private static function key(float $at, float $seconds): string
    {
        return sprintf('%d %.1f', $at, $seconds);
    }

    /**
     * @param  list<string>  $columns
     * @param  list<?string>  $cells
     * @return ?array{key: string, entry: array<string, mixed>} null where a line says no moment or no length that can be
     */
    private static function row(array $columns, array $cells): ?array
    {
        $value = static function (string $name, int $most = 1000) use ($columns, $cells): string {
            $text = (string) ($cells[array_search($name, $columns, true)] ?? '');
            // What kept a spreadsheet from running it as a formula is no part of it.
            $text = preg_replace('/^\'(?=[=+@\t-])/', '', array_search($name, $columns, true) === false ? '' : $text) ?? '';

            return mb_substr(mb_scrub(trim($text)), 0, $most);
        };
        $at = DateTimeImmutable::createFromFormat('!Y-m-d\TH:i:sp', $value('flown_at_utc'), new DateTimeZone('UTC'));
        $seconds = $value('seconds');
        if ($at === false || ! is_numeric($seconds) || $seconds < 0 || $seconds > 86400
            || $at->getTimestamp() < 631152000 || $at->getTimestamp() > now()->addDay()->getTimestamp()) {
            return null;
        }
        $move = $value('move', 60);
        $named = in_array($move, Catalogue::ids(), true) ? $move : '';
        $said = array_filter([
            $value('text'), trim($value('shot', 120).' '.($named === '' ? '' : "($named)")),
            is_numeric($value('score')) ? 'score '.round((float) $value('score'), 1) : '',
        ], static fn (string $part): bool => $part !== '');

        return [
            'key' => self::key((float) $at->getTimestamp(), (float) $seconds),
            'entry' => [
                'flown_at' => $at, 'minutes' => (float) $seconds / 60, 'batteries' => max(0, min(100, (int) $value('batteries'))),
                'craft' => $value('craft', 80), 'place' => $value('place', 120), 'text' => mb_substr(implode('; ', $said), 0, 1000),
            ],
        ];
    }
}
