<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Models\User;
use Illuminate\Support\Facades\DB;

/** Gives what somebody worked out to somebody else of their school: shots that nobody has flown yet, days to come, and sites they drew. */
final readonly class HandOver
{
    /** @return array{shots: int, days: int, sites: int} how many */
    public function __invoke(User $from, User $to): array
    {
        return DB::transaction(static function () use ($from, $to): array {
            $flown = DB::table('takes')->where('operator_id', $from->id)->whereNotNull('shot_id')->select('shot_id');
            $moved = [
                // A flown shot belongs to the record of whoever flew it.
                'shots' => DB::table('shots')->where('operator_id', $from->id)->whereNull('deleted_at')->whereNotIn('id', $flown)
                    ->update(['operator_id' => $to->id]),
                'days' => DB::table('flight_days')->where('operator_id', $from->id)->where('date', '>=', now()->toDateString())
                    ->update(['operator_id' => $to->id]),
                'sites' => DB::table('sites')->where('author_id', $from->id)->update(['author_id' => $to->id]),
            ];
            Trail::note('handed-over', "$from->name to $to->name");

            return $moved;
        });
    }
}
