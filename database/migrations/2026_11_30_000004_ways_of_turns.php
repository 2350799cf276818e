<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Moves that go one way or the other by their turn are tallied apart too: what was flown before them is told by what it was judged as. */
return new class extends Migration
{
    private const TURN = "json_value(intent, '$.parameters.turn_deg')";

    public function up(): void
    {
        DB::table('scores')->select('id', 'take_id')->selectRaw(self::TURN.' as turn')->whereRaw(self::TURN.' is not null')
            ->chunkById(500, static function ($scores): void {
                foreach ($scores as $score) {
                    if ((float) $score->turn !== 0.0) {
                        DB::table('takes')->where('id', $score->take_id)->where('direction', '')
                            ->update(['direction' => (float) $score->turn > 0 ? 'right' : 'left']);
                    }
                }
            });
    }

    public function down(): void
    {
        // What was added is true of those takes whichever way the tables stand.
    }
};
