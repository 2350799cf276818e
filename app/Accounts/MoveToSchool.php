<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Models\School;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Larkspur\Fact;
use Larkspur\Refusal;

/**
 * Takes a person to another school with their record: takes and their judgements, logs, shots and days. What the record rests on (sites,
 * craft, rigs) is the old school's and stays there; copies of it come along.
 */
final readonly class MoveToSchool
{
    /** @param  'trainer'|'operator'|'viewer'  $role */
    public function __invoke(User $user, School $to, string $role): void
    {
        if ($user->school_id === $to->id) {
            throw new Refusal(Fact::of('school.is-there-already'), 'school');
        }
        DB::transaction(static function () use ($user, $to, $role): void {
            Trail::note('left', $to->name, $user);
            $sites = DB::table('shots')->where('operator_id', $user->id)->pluck('site_id')
                ->merge(DB::table('flight_days')->where('operator_id', $user->id)->pluck('site_id'))->unique();
            foreach ($sites as $id) {
                $copy = self::copy('sites', (int) $id, ['school_id' => $to->id, 'author_id' => null]);
                foreach (['shots', 'flight_days'] as $table) {
                    DB::table($table)->where('operator_id', $user->id)->where('site_id', $id)->update(['site_id' => $copy]);
                }
            }
            self::bringRigs($user, $to);
            // What was signed off goes along, with whose word it was; lessons and exceptions are the school's that made them.
            DB::table('lesson_members')->where('operator_id', $user->id)->delete();
            foreach ([
                'shots', 'flight_days', 'takes', 'recordings', 'spottings', 'step_sayings', 'not_todays', 'own_entries', 'logbook_days',
            ] as $table) {
                DB::table($table)->where('operator_id', $user->id)->update(['school_id' => $to->id]);
            }
            foreach (['imports', 'flight_logs'] as $table) {
                DB::table($table)->where('owner_id', $user->id)->update(['school_id' => $to->id]);
            }
            DB::table('kept_filters')->where('user_id', $user->id)->update(['school_id' => $to->id]);
            DB::table('users')->where('trainer_id', $user->id)->update(['trainer_id' => null]);
            $takes = DB::table('takes')->where('operator_id', $user->id)->select('id');
            foreach (['scores', 'comments'] as $table) {
                DB::table($table)->whereIn('take_id', $takes)->update(['school_id' => $to->id]);
            }
            $days = DB::table('flight_days')->where('operator_id', $user->id)->select('id');
            DB::table('day_entries')->whereIn('flight_day_id', $days)->update(['school_id' => $to->id]);
            $user->forceFill([
                'school_id' => $to->id, 'role' => $role, 'house' => null, 'training' => null, 'cohort' => '', 'trainer_id' => null,
            ])->save();
            $user->unsetRelation('school');
            $user->tokens()->delete();
            Trail::note('came', $role, $user);
        });
    }

    /** Every rig that the record rests on, as rigs of one's own, on craft that the new school has or gets. */
    private static function bringRigs(User $user, School $to): void
    {
        $rigs = DB::table('rigs')->where('operator_id', $user->id)->pluck('id')
            ->merge(DB::table('shots')->where('operator_id', $user->id)->pluck('rig_id'))
            ->merge(DB::table('takes')->where('operator_id', $user->id)->whereNotNull('rig_id')->pluck('rig_id'))->unique()->sort();
        $crafts = [];
        foreach (DB::table('rigs')->whereIn('id', $rigs)->orderBy('id')->get() as $rig) {
            if ($rig->craft_id !== null) {
                $crafts[$rig->craft_id] ??= self::craft((int) $rig->craft_id, $to);
            }
            $copy = self::copy('rigs', (int) $rig->id, [
                'school_id' => $to->id, 'operator_id' => $user->id, 'author_id' => $rig->author_id === $user->id ? $user->id : null,
                'craft_id' => $crafts[$rig->craft_id] ?? null,
            ]);
            DB::table('shots')->where('operator_id', $user->id)->where('rig_id', $rig->id)->update(['rig_id' => $copy]);
            DB::table('takes')->where('operator_id', $user->id)->where('rig_id', $rig->id)
                ->update(['rig_id' => $copy, 'craft_id' => $crafts[$rig->craft_id] ?? null]);
        }
        // Their own rigs come along and are not left behind, but where somebody else's record rests on one.
        foreach (DB::table('rigs')->where('operator_id', $user->id)->where('school_id', '<>', $to->id)->pluck('id') as $id) {
            if (DB::table('shots')->where('rig_id', $id)->doesntExist() && DB::table('takes')->where('rig_id', $id)->doesntExist()) {
                DB::table('rigs')->where('id', $id)->delete();
            } else {
                DB::table('rigs')->where('id', $id)->update(['operator_id' => null]);
            }
        }
    }

    /** A craft of this name and these numbers in the new school, or a copy, under a name that is free. */
    private static function craft(int $id, School $to): int
    {
        $craft = DB::table('crafts')->where('id', $id)->first();
        $known = DB::table('crafts')->where('school_id', $to->id)->where('name', $craft->name ?? '')->first();
        if ($known !== null && json_decode((string) $known->document, true) == json_decode((string) ($craft->document ?? ''), true)) {
            return (int) $known->id;
        }
        $name = (string) ($craft->name ?? '');
        for ($n = 2; $known !== null; $n++) {
            $name = mb_substr((string) ($craft->name ?? ''), 0, 110)." ($n)";
            $known = DB::table('crafts')->where('school_id', $to->id)->where('name', $name)->first();
        }

        return self::copy('crafts', $id, ['school_id' => $to->id, 'name' => $name]);
    }

    /** @param  array<string, mixed>  $changed */
    private static function copy(string $table, int $id, array $changed): int
    {
        $row = (array) DB::table($table)->where('id', $id)->first();
        unset($row['id']);

        return DB::table($table)->insertGetId([...$row, ...$changed]);
    }
}
