<?php

declare(strict_types=1);

namespace App\Progress;

use App\Models\OwnEntry;
use App\Models\Take;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/** What stands in an operator's logbook, added up: by kind, way round, mode, month and day; from LogbookDays, and from entries by hand. */
final readonly class Logbook
{
    private const MONTHS = 12;

    /** Days that the practice of each is shown for. */
    public const GOAL_DAYS = 28;

    /** @return array<string, int|float> */
    public static function totals(int $operator): array
    {
        $row = DB::table('logbook_days')->where('operator_id', $operator)->selectRaw(<<<'SQL'
            coalesce(sum(takes), 0) as takes, coalesce(sum(by_hand), 0) as by_hand, coalesce(sum(practised), 0) as practised,
            coalesce(sum(automated), 0) as automated, coalesce(sum(clockwise), 0) as clockwise,
            coalesce(sum(counterclockwise), 0) as counterclockwise, coalesce(sum(slow), 0) as slow, count(*) as days,
            coalesce(sum(flown_s), 0) / 60 as taken_min, coalesce(sum(practised_s), 0) / 60 as practised_min
            SQL)->first();
        $own = DB::table('own_entries')->where('operator_id', $operator)->selectRaw(
            'count(*) as entries, coalesce(sum(minutes), 0) as minutes, coalesce(sum(batteries), 0) as batteries',
        )->first();

        return [
            ...array_map(static fn (mixed $value): int => (int) $value, (array) $row),
            'taken_min' => round((float) ($row->taken_min ?? 0), 1), 'practised_min' => round((float) ($row->practised_min ?? 0), 1),
            'moves' => DB::table('takes')->where('operator_id', $operator)->whereNull('deleted_at')->distinct()->pluck('move')->count(),
            'entries' => (int) ($own->entries ?? 0), 'entered_min' => round((float) ($own->minutes ?? 0), 1),
            'batteries' => (int) ($own->batteries ?? 0),
        ];
    }

    /** @return list<array{month: string, takes: int, automated: int, practised: int}> the latest twelve, oldest first */
    public static function months(int $operator): array
    {
        $rows = DB::table('logbook_days')->where('operator_id', $operator)
            ->where('date', '>=', now()->startOfMonth()->subMonths(self::MONTHS - 1)->format('Y-m-d'))
            ->selectRaw(<<<'SQL'
                date_format(date, '%Y-%m') as month, sum(takes) as takes, sum(automated) as automated, sum(practised) as practised
                SQL)
            ->groupBy('month')->orderBy('month')->get();

        return array_values($rows->map(static fn (object $row): array => [
            'month' => (string) $row->month, 'takes' => (int) $row->takes, 'automated' => (int) $row->automated,
            'practised' => (int) $row->practised,
        ])->all());
    }

    /** @return list<array{date: string, minutes: float}> every one of the latest four weeks, in the air and in Fly, oldest first */
    public static function latestDays(User $operator): array
    {
        $clock = $operator->school->clock();
        $today = $clock->date((float) now()->getTimestamp());
        $minutes = [];
        for ($date = $today - self::GOAL_DAYS + 1; $date <= $today; $date++) {
            $minutes[gmdate('Y-m-d', 86400 * $date)] = 0.0;
        }
        $rows = DB::table('logbook_days')->where('operator_id', $operator->id)->where('date', '>=', array_key_first($minutes))->get();
        foreach ($rows as $row) {
            if (isset($minutes[$row->date])) {
                $minutes[$row->date] += ((float) $row->flown_s + (float) $row->practised_s) / 60;
            }
        }
        $entries = OwnEntry::query()->where('operator_id', $operator->id);
        foreach ($entries->where('flown_at', '>=', now()->subDays(self::GOAL_DAYS + 1))->get() as $entry) {
            $date = gmdate('Y-m-d', 86400 * $clock->date((float) $entry->flown_at->getTimestamp()));
            if (isset($minutes[$date])) {
                $minutes[$date] += $entry->minutes;
            }
        }

        return array_map(
            static fn (string $date): array => ['date' => $date, 'minutes' => round($minutes[$date], 1)], array_keys($minutes),
        );
    }

    /** Of a row of the file: a flight written down by hand. The others say how a take was flown, as the filter of the logbook names it. */
    public const ENTRY = 'entry';

    /** What the columns of the file are called. */
    public const COLUMNS = [
        'flown_at_utc', 'operator', 'shot', 'move', 'direction', 'mode', 'seconds', 'score', 'uncertainty', ...Take::FACETS, 'verdict',
        'flown', 'batteries', 'craft', 'place', 'text',
    ];

    /**
     * A logbook as rows under COLUMNS: takes, oldest first, then what was entered by hand.
     *
     * @return iterable<list<string|int|float|null>>
     */
    public static function rows(User $operator): iterable
    {
        $takes = Take::query()->where('operator_id', $operator->id);
        foreach ($takes->with(['operator', 'shot.site', 'rig'])->lazyById(500) as $take) {
            yield [
                $take->flown_at->toIso8601ZuluString(), $take->operator->name, $take->shot->title ?? '', $take->move, $take->direction,
                $take->mode, round($take->to_s - $take->from_s, 1), $take->score, $take->uncertainty, $take->ease, $take->flow, $take->hold,
                $take->line, $take->frame, $take->decision ?? $take->verdict,
                $take->practised ? 'practised' : ($take->automated ? 'automated' : 'hand'), null, $take->rig->craft ?? '',
                $take->shot?->site->name ?? '', '',
            ];
        }
        $entries = OwnEntry::query()->where('operator_id', $operator->id);
        foreach ($entries->lazyById(500) as $entry) {
            yield [
                $entry->flown_at->toIso8601ZuluString(), $operator->name, '', '', '', '', round(60 * $entry->minutes, 1), null, null,
                ...array_fill(0, count(Take::FACETS), null), '', self::ENTRY, $entry->batteries, $entry->craft, $entry->place, $entry->text,
            ];
        }
    }

    /**
     * The days of a logbook, oldest first: for paper and calendars.
     *
     * @return list<array{date: string, takes: int, by_hand: int, practised: int, automated: int, minutes: float}>
     */
    public static function days(int $operator): array
    {
        $rows = DB::table('logbook_days')->where('operator_id', $operator)->orderBy('date')->get();

        return array_values($rows->map(static fn (object $row): array => [
            'date' => (string) $row->date, 'takes' => (int) $row->takes, 'by_hand' => (int) $row->by_hand,
            'practised' => (int) $row->practised, 'automated' => (int) $row->automated,
            'minutes' => round(((float) $row->flown_s + (float) $row->practised_s) / 60, 1),
        ])->all());
    }
}
