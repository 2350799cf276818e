<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** A take keeps how the sticks were held as it was flown; of earlier ones the version of the rig that they were flown with knows it. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('takes', static fn (Blueprint $table) => $table->json('hands')->nullable()
            ->comment('stick mode, wheel, grip, stick length and touch, as it was flown'));
        DB::statement("update takes join rigs on rigs.id = takes.rig_id set takes.hands = json_query(rigs.document, '$.hands')
            where json_query(rigs.document, '$.hands') is not null");
    }

    public function down(): void
    {
        Schema::table('takes', static fn (Blueprint $table) => $table->dropColumn('hands'));
    }
};
