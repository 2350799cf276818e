<?php

declare(strict_types=1);

namespace App\Actions;

use App\Documents\AwaitedPass;
use App\Models\FlightDay;
use App\Models\Shot;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Larkspur\FlightDay\FieldEntry;
use Larkspur\FlightDay\Timetable;

/** The passes of somebody's days that await their logs: entries of a logbook whose other half lies on a card still. */
final readonly class ListAwaitedPasses
{
    /** Days that are looked at, the latest: an older card has been wiped. */
    private const DAYS = 12;

    public function __construct(private FindPassTakes $find)
    {
    }

    /** @return list<AwaitedPass> the latest first */
    public function __invoke(User $operator): array
    {
        $logged = DB::table('day_entries')->where('kind', FieldEntry::PASS)->select('flight_day_id');
        $query = FlightDay::query()->with('site')->where('operator_id', $operator->id);
        $query->whereIn('id', $logged)->latest('date')->limit(self::DAYS);
        $days = $query->get();
        $out = [];
        foreach ($days as $day) {
            $log = PlanDay::log($day);
            $found = ($this->find)($log);
            $titles = Shot::query()->whereKey(array_map(
                static fn (string $item): int => (int) substr($item, strlen('shot-')), array_keys($log->passes),
            ))->pluck('title', 'id');
            foreach ($log->passes as $item => $passes) {
                $title = $titles->get((int) substr($item, strlen('shot-')));
                foreach ($passes as $pass) {
                    // What was flown of a shot that is gone finds no log any more.
                    if (is_string($title) && ! isset($found[$pass['uuid']])) {
                        $out[] = new AwaitedPass(
                            $day->id, $day->title, $title, $pass['number'], $pass['verdict'], $pass['note'],
                            Timetable::written($pass['made']), $day->site->sheet()->zone->name, $pass['by'],
                        );
                    }
                }
            }
        }
        usort($out, static fn (AwaitedPass $a, AwaitedPass $b): int => $b->at <=> $a->at);

        return $out;
    }
}
