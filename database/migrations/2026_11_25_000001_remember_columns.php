<?php

/** Logs of other makers: which column is what, as confirmed, by school and by log; takes that automation flew. */

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('column_mappings', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('school_id')->constrained();
            $table->char('fingerprint', 64)->comment('of the names of the columns');
            $table->json('mapping')->comment('as core/Telemetry reads it');
            $table->timestamps();
            $table->unique(['school_id', 'fingerprint']);
        });
        Schema::table('flight_logs', static function (Blueprint $table): void {
            $table->json('columns')->nullable()->comment('mapping it was read by; null for logs of our own format');
        });
        Schema::table('imports', static function (Blueprint $table): void {
            $table->json('columns')->nullable()->comment('mapping that was confirmed for this upload');
        });
        Schema::table('takes', static function (Blueprint $table): void {
            $table->boolean('automated')->default(false)->comment('flown by automation for the most part: no credit to the hands');
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('column_mappings');
        Schema::table('flight_logs', static fn (Blueprint $table) => $table->dropColumn('columns'));
        Schema::table('imports', static fn (Blueprint $table) => $table->dropColumn('columns'));
        Schema::table('takes', static fn (Blueprint $table) => $table->dropColumn('automated'));
    }
};
