<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\DayEntry;
use App\Models\FlightDay;
use App\Models\User;
use Illuminate\Support\Carbon;
use Larkspur\Fields;
use Larkspur\FlightDay\FieldEntry;
use Larkspur\FlightDay\FieldLog;

/** Takes in what was entered in the field. Sent twice, an entry is entered once; none is ever changed or dropped. */
final readonly class LogEntries
{
    /** A clock is off where it says otherwise by more than this, s. */
    private const SLOW = 30.0;

    /**
     * @param  list<array{
     *     uuid: string, kind: string, item: string, payload: array<string, mixed>, device: string, made_at: string,
     * }> $entries
     * @param  float  $behind  by how much the clock of the device is behind, s
     */
    public function __invoke(FlightDay $day, User $author, array $entries, float $behind = 0.0): FieldLog
    {
        $now = Carbon::now();
        foreach ($entries as $k => $entry) {
            // A clock that runs ahead would win every disagreement: nothing is made later than it arrives.
            $made = Carbon::parse($entry['made_at'])->utc()->addMilliseconds((int) round(1000 * self::off($behind)))->min($now);
            FieldEntry::read(
                $entry['uuid'], Fields::of($entry, "entries.$k"), (float) $made->format('U.v'), INF, $entry['device'], $author->name,
            );
            $rows[] = [
                'school_id' => $day->school_id, 'flight_day_id' => $day->id, 'author_id' => $author->id, 'uuid' => $entry['uuid'],
                'kind' => $entry['kind'], 'item' => $entry['item'],
                'payload' => json_encode((object) $entry['payload'], JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE),
                'device' => $entry['device'], 'made_at' => $made->format('Y-m-d H:i:s.v'), 'created_at' => $now, 'updated_at' => $now,
            ];
        }
        if (isset($rows)) {
            DayEntry::query()->insertOrIgnore($rows);
        }

        return PlanDay::log($day);
    }

    /** What a network takes is no clock that is off. */
    private static function off(float $behind): float
    {
        return abs($behind) < self::SLOW ? 0.0 : $behind;
    }
}
