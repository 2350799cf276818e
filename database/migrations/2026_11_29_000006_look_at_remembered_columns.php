<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/**
 * What was confirmed of a maker's columns can be looked at and changed, and a log read again by what holds now; whoever sends a log for
 * somebody follows it.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('column_mappings', static function (Blueprint $table): void {
            $table->json('headers')->nullable()->comment('names of the columns; null where they were confirmed before they were kept');
            $table->string('file_name')->default('')->comment('the log over which it was confirmed');
        });
        Schema::table('imports', static function (Blueprint $table): void {
            $table->foreignId('sender_id')->nullable()->comment('who sent it')->constrained('users');
        });
        Schema::table('flight_logs', static function (Blueprint $table): void {
            $table->unsignedInteger('edition')->default(0)->comment('how often its bytes were read otherwise before');
            $table->unique(['school_id', 'owner_id', 'sha256', 'edition']);
            $table->dropUnique(['school_id', 'owner_id', 'sha256']);
        });
    }

    public function down(): void
    {
        Schema::table('flight_logs', static function (Blueprint $table): void {
            $table->unique(['school_id', 'owner_id', 'sha256']);
            $table->dropUnique(['school_id', 'owner_id', 'sha256', 'edition']);
            $table->dropColumn('edition');
        });
        Schema::table('imports', static function (Blueprint $table): void {
            $table->dropConstrainedForeignId('sender_id');
        });
        Schema::table('column_mappings', static fn (Blueprint $table) => $table->dropColumn(['headers', 'file_name']));
    }
};
