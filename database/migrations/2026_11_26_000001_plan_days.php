<?php

/** Sites that people draw, what a shot is wanted for, days of flying, and what was ticked and flown on them. */

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('sites', static function (Blueprint $table): void {
            $table->unsignedInteger('version')->default(1);
            // Null for those that the school began with.
            $table->foreignId('author_id')->nullable()->constrained('users');
        });
        Schema::table('shots', static function (Blueprint $table): void {
            $table->json('brief')->nullable()->comment('what it is wanted for, as core/Choreography/Brief reads it');
        });
        Schema::create('flight_days', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('school_id')->constrained();
            $table->foreignId('operator_id')->constrained('users');
            $table->foreignId('site_id')->constrained();
            $table->string('title', 120);
            $table->date('date');
            $table->json('document')->comment('hours, batteries, weather, shots, filters, permission');
            $table->unsignedInteger('version')->default(1);
            $table->timestamps();
            $table->softDeletes();
            $table->index(['operator_id', 'date']);
            $table->index(['school_id', 'date']);
        });
        Schema::create('day_entries', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('school_id')->constrained();
            $table->foreignId('flight_day_id')->constrained();
            $table->foreignId('author_id')->constrained('users');
            $table->uuid('uuid')->comment('made where it was entered, so that sending it twice enters it once');
            $table->string('kind', 16)->comment('tick, pass or battery');
            $table->string('item', 80);
            $table->json('payload');
            $table->string('device', 40);
            $table->dateTime('made_at', 3);
            $table->timestamps();
            $table->unique(['flight_day_id', 'uuid']);
            $table->index(['flight_day_id', 'made_at']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('day_entries');
        Schema::dropIfExists('flight_days');
        Schema::table('shots', static fn (Blueprint $table) => $table->dropColumn('brief'));
        Schema::table('sites', static function (Blueprint $table): void {
            $table->dropConstrainedForeignId('author_id');
            $table->dropColumn('version');
        });
    }
};
