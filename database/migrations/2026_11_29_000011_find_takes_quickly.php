<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Lists of a school of a hundred thousand takes cost what those of a hundred do: each is read off an index in its own order. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('takes', static function (Blueprint $table): void {
            $table->foreignId('craft_id')->nullable()->comment('of the rig that it was flown with');
            $table->index(['school_id', 'deleted_at', 'flown_at', 'id'], 'takes_of_school');
            $table->index(['operator_id', 'deleted_at', 'flown_at', 'id'], 'takes_of_operator');
            $table->index(['craft_id', 'deleted_at', 'flown_at', 'id'], 'takes_of_craft');
            $table->index(['shot_id', 'deleted_at', 'flown_at', 'id'], 'takes_of_shot');
            $table->index(['rig_id', 'deleted_at', 'automated', 'flown_at'], 'takes_of_rig');
        });
        DB::update('UPDATE takes JOIN rigs ON rigs.id = takes.rig_id SET takes.craft_id = rigs.craft_id');
        Schema::table('shots', static function (Blueprint $table): void {
            $table->index(['school_id', 'deleted_at', 'updated_at', 'title'], 'shots_of_school');
            $table->index(['operator_id', 'deleted_at', 'updated_at', 'title'], 'shots_of_operator');
        });
        Schema::table('imports', static function (Blueprint $table): void {
            $table->index(['owner_id', 'id']);
            $table->index(['sender_id', 'id']);
        });
        Schema::table('comments', static fn (Blueprint $table) => $table->index(['take_id', 'deleted_at', 'id']));
    }

    public function down(): void
    {
        // A foreign key needs an index of its own again, where a longer one took its place.
        foreach (['comments' => ['take_id'], 'imports' => ['owner_id', 'sender_id'], 'shots' => ['school_id', 'operator_id'],
            'takes' => ['shot_id', 'rig_id']] as $name => $columns) {
            foreach ($columns as $column) {
                if (! Schema::hasIndex($name, "{$name}_{$column}_foreign")) {
                    Schema::table($name, static fn (Blueprint $table) => $table->index($column, "{$name}_{$column}_foreign"));
                }
            }
        }
        Schema::table('comments', static fn (Blueprint $table) => $table->dropIndex(['take_id', 'deleted_at', 'id']));
        Schema::table('imports', static function (Blueprint $table): void {
            $table->dropIndex(['owner_id', 'id']);
            $table->dropIndex(['sender_id', 'id']);
        });
        Schema::table('shots', static function (Blueprint $table): void {
            $table->dropIndex('shots_of_school');
            $table->dropIndex('shots_of_operator');
        });
        Schema::table('takes', static function (Blueprint $table): void {
            foreach (['school', 'operator', 'craft', 'shot', 'rig'] as $whose) {
                $table->dropIndex("takes_of_$whose");
            }
            $table->dropColumn('craft_id');
        });
    }
};
