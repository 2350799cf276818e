<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A craft is its owner's until a trainer shares it; those that were there are the school's. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('crafts', static function (Blueprint $table): void {
            $table->foreignId('entered_by')->nullable()->comment('who entered it')->constrained('users')->nullOnDelete();
            $table->boolean('shared')->default(true)->comment('whether the whole school sees it');
        });
    }

    public function down(): void
    {
        Schema::table('crafts', static function (Blueprint $table): void {
            $table->dropConstrainedForeignId('entered_by');
            $table->dropColumn('shared');
        });
    }
};
