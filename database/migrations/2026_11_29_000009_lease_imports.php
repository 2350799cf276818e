<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Who works on a log, until when that holds without a sign of life, and how often it was begun: no worker's end leaves it on its way. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('imports', static function (Blueprint $table): void {
            $table->string('source', 16)->default('imported')->comment('imported or simulated');
            $table->unsignedTinyInteger('tries')->default(0);
            $table->string('leased_by', 80)->nullable();
            $table->timestamp('leased_until')->nullable();
            $table->timestamp('queued_at')->nullable();
            $table->timestamp('seen_at')->nullable()->comment('last sign of life of the work on it');
            $table->index(['state', 'leased_until']);
        });
        // What was under way when an earlier version ended has nobody working on it.
        DB::table('imports')->whereIn('state', ['waiting', 'reading', 'judging'])
            ->update(['state' => 'waiting', 'queued_at' => now()->subHour()]);
    }

    public function down(): void
    {
        Schema::table('imports', static function (Blueprint $table): void {
            $table->dropIndex(['state', 'leased_until']);
            $table->dropColumn(['source', 'tries', 'leased_by', 'leased_until', 'queued_at', 'seen_at']);
        });
    }
};
