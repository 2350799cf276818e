<?php

declare(strict_types=1);

namespace App\Progress;

use App\Models\School;
use App\Models\Take;
use Illuminate\Support\Facades\DB;
use Larkspur\Site\Zone;

/**
 * A logbook counted by days, on the clock of the school: a day is counted anew whenever a take of it is kept, changed or removed, so that
 * totals cost what the days do, however many takes there are.
 */
final readonly class LogbookDays
{
    private const COUNTS = <<<'SQL'
        count(*) as takes, coalesce(sum(practised = 0 and automated = 0), 0) as by_hand,
        coalesce(sum(practised = 1), 0) as practised, coalesce(sum(automated = 1), 0) as automated,
        coalesce(sum(direction in ('clockwise', 'right')), 0) as clockwise,
        coalesce(sum(direction in ('counterclockwise', 'left')), 0) as counterclockwise,
        coalesce(sum(mode = 'slow'), 0) as slow,
        coalesce(sum(case when practised = 0 then to_s - from_s end), 0) as flown_s,
        coalesce(sum(case when practised = 1 then to_s - from_s end), 0) as practised_s
        SQL;

    /** After a take was kept, changed or removed; one counter at a time, so that each counts what the others have kept. */
    public static function recountDayOf(Take $take): void
    {
        $take->loadMissing('school');
        $clock = $take->school->clock();
        $was = $take->getRawOriginal('flown_at');
        $dates = [$clock->date((float) $take->flown_at->getTimestamp())];
        if (is_string($was)) {
            $dates[] = $clock->date((float) strtotime("$was UTC"));
        }
        DB::transaction(static function () use ($take, $clock, $dates): void {
            OperatorRecord::hold($take->operator_id);
            foreach (array_unique($dates) as $date) {
                self::recount($take->school_id, $take->operator_id, $clock, $date);
            }
        });
    }

    /** Every day of everybody: after the clock of a school was changed. */
    public static function recountSchool(int $school): void
    {
        $clock = School::query()->findOrFail($school)->clock();
        DB::table('logbook_days')->where('school_id', $school)->delete();
        $operators = DB::table('takes')->where('school_id', $school)->distinct()->pluck('operator_id');
        foreach ($operators as $operator) {
            $dates = [];
            foreach (DB::table('takes')->where('operator_id', $operator)->whereNull('deleted_at')->select('flown_at')->cursor() as $row) {
                $dates[$clock->date((float) strtotime("$row->flown_at UTC"))] = true;
            }
            foreach (array_keys($dates) as $date) {
                self::recount($school, (int) $operator, $clock, $date);
            }
        }
    }

    /** @param  int  $date  days since 1970, on the clock */
    private static function recount(int $school, int $operator, Zone $clock, int $date): void
    {
        $from = $clock->instantOf(86400.0 * $date);
        $to = $clock->instantOf(86400.0 * ($date + 1));
        $row = DB::table('takes')->where('operator_id', $operator)->whereNull('deleted_at')
            ->where('flown_at', '>=', gmdate('Y-m-d H:i:s', (int) $from))->where('flown_at', '<', gmdate('Y-m-d H:i:s', (int) $to))
            ->selectRaw(self::COUNTS)->first();
        $key = ['operator_id' => $operator, 'date' => gmdate('Y-m-d', 86400 * $date)];
        if ($row === null || (int) $row->takes === 0) {
            DB::table('logbook_days')->where($key)->delete();
        } else {
            DB::table('logbook_days')->upsert([[...$key, 'school_id' => $school, ...(array) $row]], ['operator_id', 'date']);
        }
    }
}
