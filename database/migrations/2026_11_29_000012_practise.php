<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What is practised in Fly: recordings of the fingers, the takes that came of them, and what an eye found in takes with hidden faults. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('recordings', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('school_id')->constrained()->cascadeOnDelete();
            $table->foreignId('operator_id')->constrained('users')->cascadeOnDelete();
            $table->foreignId('shot_id')->nullable()->constrained()->nullOnDelete();
            $table->foreignId('rig_id')->nullable()->constrained()->nullOnDelete();
            $table->foreignId('take_id')->nullable()->constrained()->nullOnDelete();
            $table->char('uuid', 36)->comment('made where it was recorded: sent twice, it is kept once');
            $table->string('kind', 16)->comment('flight or rehearsal');
            $table->string('move', 40);
            $table->char('sheet', 64)->comment('hash of the world that it was flown in');
            $table->unsignedInteger('steps');
            $table->mediumText('exercise')->comment('as it was given out');
            $table->mediumText('body')->comment('the recording, compressed, in base64');
            $table->json('outcome');
            $table->timestamp('made_at');
            $table->timestamps();
            $table->unique(['operator_id', 'uuid']);
            $table->index(['school_id', 'operator_id', 'made_at']);
        });
        Schema::create('spottings', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('school_id')->constrained()->cascadeOnDelete();
            $table->foreignId('operator_id')->constrained('users')->cascadeOnDelete();
            $table->foreignId('shot_id')->nullable()->constrained()->nullOnDelete();
            $table->string('move', 40);
            $table->string('fault', 40)->nullable()->comment('null where there is none to find');
            $table->string('finger', 10)->nullable();
            $table->double('from_s')->nullable();
            $table->double('to_s')->nullable();
            $table->json('said')->nullable();
            $table->string('outcome', 20)->nullable()->comment('hit, miss, false-alarm or correct-rejection');
            $table->timestamps();
            $table->index(['operator_id', 'outcome']);
        });
        Schema::table('imports', static function (Blueprint $table): void {
            $table->json('practice')->nullable()->comment('of a practice flight: its intent, wind, rig and how it was flown');
        });
        Schema::table('takes', static function (Blueprint $table): void {
            $table->boolean('practised')->default(false);
            $table->json('practice')->nullable()->comment('device, aids, conditions and seed');
            $table->index(['operator_id', 'practised', 'flown_at']);
            // Flights of a rig by hand are counted off an index alone.
            $table->index(['rig_id', 'deleted_at', 'automated', 'practised', 'flown_at'], 'takes_of_rig_by_hand');
            $table->dropIndex('takes_of_rig');
        });
    }

    public function down(): void
    {
        Schema::table('takes', static function (Blueprint $table): void {
            $table->index(['rig_id', 'deleted_at', 'automated', 'flown_at'], 'takes_of_rig');
            $table->dropIndex('takes_of_rig_by_hand');
            $table->dropIndex(['operator_id', 'practised', 'flown_at']);
            $table->dropColumn(['practised', 'practice']);
        });
        Schema::table('imports', static fn (Blueprint $table) => $table->dropColumn('practice'));
        Schema::dropIfExists('spottings');
        Schema::dropIfExists('recordings');
    }
};
