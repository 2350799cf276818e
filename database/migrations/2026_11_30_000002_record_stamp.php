<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Tells whether anything that somebody's progress rests on has changed since it was worked out; and the wind that a take was flown in. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('users', static fn (Blueprint $table) => $table->unsignedInteger('record_stamp')->default(0)
            ->comment('grows with every change of a take or of what was said of a step'));
        Schema::table('takes', static fn (Blueprint $table) => $table->double('wind_mps')->nullable()
            ->comment('mean, of its log or its plan'));
        // Which moves somebody has flown is read off it, however many takes there are.
        Schema::table('takes', static fn (Blueprint $table) => $table->index(
            ['operator_id', 'deleted_at', 'move'], 'takes_of_operator_by_move',
        ));
        // The latest judgement of each knows it.
        DB::table('scores')->select('id', 'take_id')->selectRaw("json_value(document, '$.wind.mean_mps') as wind")
            ->whereRaw("json_value(document, '$.wind.mean_mps') is not null")
            ->chunkById(500, static function ($scores): void {
                foreach ($scores as $score) {
                    DB::table('takes')->where('id', $score->take_id)->update(['wind_mps' => (float) $score->wind]);
                }
            });
    }

    public function down(): void
    {
        Schema::table('users', static fn (Blueprint $table) => $table->dropColumn('record_stamp'));
        Schema::table('takes', static function (Blueprint $table): void {
            $table->dropIndex('takes_of_operator_by_move');
            $table->dropColumn('wind_mps');
        });
    }
};
