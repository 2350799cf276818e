<?php

declare(strict_types=1);

namespace App\Progress;

use App\Models\User;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Larkspur\Site\Zone;
use Larkspur\Training\Group\Member;
use Larkspur\Training\PastTake;
use Larkspur\Training\Record;
use Larkspur\Training\Standing\Comparable;

/**
 * What is known of operators' progress. Of one it is worked out at every look. Of a class it is kept with the stamp of what it rests on,
 * and worked out again only of those of whom something has changed: a take's arrival costs one operator's work, not the class's.
 */
final readonly class OperatorRecord
{
    private const KEPT_DAYS = 2;

    public static function of(User $operator): Record
    {
        $school = $operator->school_id;

        return self::record(
            $operator, PastTakes::of($operator->id, $operator->school->clock()), Standings::comparable($school),
            ClimbLadder::ofSchool($school),
        );
    }

    /**
     * @param  list<User>  $operators  of one school
     * @return list<Member>
     */
    public static function each(array $operators): array
    {
        if ($operators === []) {
            return [];
        }
        (new Collection($operators))->loadMissing('school');
        $school = $operators[0]->school;
        $moves = Standings::comparable($school->id);
        $ladder = ClimbLadder::ofSchool($school->id);
        $clock = $school->clock();
        // Read before the takes are: what comes meanwhile has another stamp.
        $stamps = self::stamps($operators);
        $rests = hash('xxh128', serialize([
            $school->id, $moves, $ladder->version, $clock, $clock->date((float) now()->getTimestamp()),
            config()->string('larkspur.progress_code'),
        ]));
        $kept = Cache::many(array_map(self::key(...), $operators));
        $members = $new = [];
        foreach ($operators as $operator) {
            $stamp = $rests.$stamps[$operator->id];
            $known = $kept[self::key($operator)] ?? null;
            $record = is_array($known) && $known[0] === $stamp && $known[1] instanceof Member ? $known[1] : null;
            if ($record === null) {
                $record = self::member($operator, $clock, $moves, $ladder);
                $new[self::key($operator)] = [$stamp, $record];
            }
            $members[] = new Member(
                $operator->id, $operator->name, $record->latest, $record->latestByHand, $record->standings, $record->states,
                $operator->training(),
            );
        }
        if ($new !== []) {
            Cache::putMany($new, now()->addDays(self::KEPT_DAYS));
        }

        return $members;
    }

    /**
     * Who writes several things of an operator's record in one transaction holds it first: rows that point to the operator lock that row
     * for reading, two writers who both want to write it then would stop each other, and neither would count what the other adds.
     */
    public static function hold(int $operator): void
    {
        DB::table('users')->where('id', $operator)->lockForUpdate()->value('id');
    }

    /** Something that operators' progress rests on has changed: takes, or what was said of their steps. */
    public static function changed(int $operator): void
    {
        DB::table('users')->where('id', $operator)->increment('record_stamp');
    }

    /**
     * @param  list<User>  $operators
     * @return array<int, int> by operator
     */
    private static function stamps(array $operators): array
    {
        $ids = array_map(static fn (User $operator): int => $operator->id, $operators);

        return DB::table('users')->whereIn('id', $ids)->pluck('record_stamp', 'id')->map(intval(...))->all();
    }

    private static function key(User $operator): string
    {
        return "member $operator->id";
    }

    private static function member(User $operator, Zone $clock, Comparable $moves, ClimbLadder $ladder): Member
    {
        return self::record($operator, PastTakes::ofClass($operator->id, $clock), $moves, $ladder)->asMember($operator->training());
    }

    /** @param  list<PastTake>  $takes */
    private static function record(User $operator, array $takes, Comparable $moves, ClimbLadder $ladder): Record
    {
        return new Record($operator->id, $operator->name, $takes, Standings::of($takes, $moves), $ladder->of($operator, $takes));
    }
}
