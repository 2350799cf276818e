<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** How the places of a log are taken, where they are not as they are written. */
return new class extends Migration
{
    public function up(): void
    {
        foreach (['imports', 'flight_logs'] as $table) {
            Schema::table($table, static fn (Blueprint $columns) => $columns->string('reading', 16)->nullable());
            Schema::table($table, static fn (Blueprint $columns) => $columns->float('reading_ground_m')->nullable());
        }
    }

    public function down(): void
    {
        foreach (['imports', 'flight_logs'] as $table) {
            Schema::table($table, static fn (Blueprint $columns) => $columns->dropColumn(['reading', 'reading_ground_m']));
        }
    }
};
