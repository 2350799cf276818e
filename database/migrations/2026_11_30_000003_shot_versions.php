<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Two people may work on one shot: it counts its versions, and whoever saves second is asked. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('shots', static fn (Blueprint $table) => $table->unsignedInteger('version')->default(1));
    }

    public function down(): void
    {
        Schema::table('shots', static fn (Blueprint $table) => $table->dropColumn('version'));
    }
};
