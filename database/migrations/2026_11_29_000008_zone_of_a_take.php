<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** A take tells its hour by the clock of the site that it was flown at, also when the shot is long gone. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('takes', static function (Blueprint $table): void {
            $table->string('zone', 64)->default('UTC')->comment('of the site, by its name in the IANA database');
        });
        DB::update("
            UPDATE takes JOIN shots ON shots.id = takes.shot_id JOIN sites ON sites.id = shots.site_id
            SET takes.zone = JSON_UNQUOTE(JSON_EXTRACT(sites.document, '$.zone'))
            WHERE JSON_EXTRACT(sites.document, '$.zone') IS NOT NULL
        ");
    }

    public function down(): void
    {
        Schema::table('takes', static fn (Blueprint $table) => $table->dropColumn('zone'));
    }
};
