<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Files\Vault;
use App\Models\FlightLog;
use App\Models\Import;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/**
 * Removes everything of a person, for good: account, takes and judgements, logs with their bytes, shots, days, rigs of their own. What they
 * said of others' work is part of others' record: it stays, as said by somebody who left.
 */
final readonly class RemovePerson
{
    public function __construct(private Vault $vault)
    {
    }

    public function __invoke(User $user): void
    {
        $paths = FlightLog::query()->withoutGlobalScopes()->where('owner_id', $user->id)->get()
            ->all();
        $paths = array_values(array_unique(array_map(static fn (FlightLog $log): string => $log->path(), $paths)));
        $uploads = Import::query()->withoutGlobalScopes()->where('owner_id', $user->id)->pluck('path')->all();
        DB::transaction(static function () use ($user): void {
            $left = self::somebodyWhoLeft($user->school_id);
            $takes = DB::table('takes')->where('operator_id', $user->id)->select('id');
            DB::table('comments')->whereIn('take_id', $takes)->delete();
            DB::table('scores')->whereIn('take_id', $takes)->delete();
            DB::table('takes')->where('operator_id', $user->id)->delete();
            foreach (['recordings', 'spottings', 'step_sayings', 'not_todays', 'lesson_members', 'own_entries'] as $table) {
                DB::table($table)->where('operator_id', $user->id)->delete();
            }
            DB::table('imports')->where('owner_id', $user->id)->delete();
            DB::table('imports')->where('sender_id', $user->id)->update(['sender_id' => null]);
            $logs = DB::table('flight_logs')->where('owner_id', $user->id)->select('id');
            DB::table('takes')->whereIn('flight_log_id', $logs)->delete();
            DB::table('flight_logs')->where('owner_id', $user->id)->delete();
            $days = DB::table('flight_days')->where('operator_id', $user->id)->select('id');
            DB::table('day_entries')->whereIn('flight_day_id', $days)->delete();
            DB::table('flight_days')->where('operator_id', $user->id)->delete();
            $shots = DB::table('shots')->where('operator_id', $user->id)->pluck('id');
            foreach (['imports', 'takes'] as $table) {
                DB::table($table)->whereIn('shot_id', $shots)->update(['shot_id' => null]);
            }
            DB::table('shots')->where('operator_id', $user->id)->delete();
            foreach (['comments' => 'author_id', 'day_entries' => 'author_id', 'invitations' => 'inviter_id'] as $table => $column) {
                DB::table($table)->where($column, $user->id)->update([$column => $left]);
            }
            DB::table('step_sayings')->where('author_id', $user->id)->update(['author_id' => null, 'author' => 'Somebody who left']);
            foreach (['rigs', 'sites', 'ladders', 'lessons'] as $table) {
                DB::table($table)->where('author_id', $user->id)->update(['author_id' => null]);
            }
            // A rig of theirs that somebody else's record rests on stays as the school's.
            $used = DB::table('shots')->select('rig_id')->union(DB::table('takes')->whereNotNull('rig_id')->select('rig_id'))
                ->pluck('rig_id');
            DB::table('rigs')->where('operator_id', $user->id)->whereNotIn('id', $used)->delete();
            DB::table('rigs')->where('operator_id', $user->id)->update(['operator_id' => null]);
            DB::table('trail')->where('user_id', $user->id)->update(['user_id' => null, 'who' => 'Somebody who left', 'address' => '']);
            DB::table('password_reset_tokens')->where('email', $user->email)->delete();
            DB::table('personal_copies')->where('user_id', $user->id)->delete();
            $user->tokens()->delete();
            $user->delete();
        });
        foreach (array_diff($paths, $this->stillKept($paths)) as $path) {
            $this->vault->drop($path);
        }
        foreach ($uploads as $path) {
            $this->vault->drop((string) $path);
        }
    }

    /**
     * Files that the records of others name too: the same bytes may be in two logbooks.
     *
     * @param  list<string>  $paths
     * @return list<string>
     */
    private function stillKept(array $paths): array
    {
        $kept = [];
        foreach (array_chunk($paths, 500) as $some) {
            $hashes = array_map(static fn (string $path): string => pathinfo($path, PATHINFO_FILENAME), $some);
            $query = FlightLog::query()->withoutGlobalScopes();
            $query->whereIn('sha256', $hashes);
            foreach ($query->get() as $log) {
                $kept[] = $log->path();
            }
        }

        return $kept;
    }

    private static function somebodyWhoLeft(int $school): int
    {
        $email = "left-$school@larkspur.invalid";
        $known = User::query()->withoutGlobalScopes()->where('email', $email)->first();

        return ($known ?? User::query()->create([
            'school_id' => $school, 'name' => 'Somebody who left', 'email' => $email, 'password' => Str::random(64), 'role' => User::VIEWER,
        ])->forceFill(['disabled_at' => now()])->fresh() ?? throw new \LogicException('It was just made.'))->id;
    }
}
