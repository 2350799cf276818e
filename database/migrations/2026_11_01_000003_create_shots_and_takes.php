<?php

/** Sites, rigs, shots, logs, takes and what is said about them. Every record belongs to a school. */

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('sites', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('school_id')->constrained();
            $table->string('name');
            $table->string('about')->default('');
            $table->json('document')->comment('home, limits and solids, as core/Site reads them');
            $table->json('subjects')->comment('named things to film: id, name, aimed-at point');
            $table->timestamps();
            $table->softDeletes();
        });
        Schema::create('rigs', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('school_id')->constrained();
            // Null for a rig as the school sets it up.
            $table->foreignId('operator_id')->nullable()->constrained('users');
            $table->string('craft');
            $table->unsignedInteger('version')->default(1);
            $table->string('reason')->default('');
            $table->json('document')->comment('as core/Rig reads it');
            $table->json('camera');
            $table->timestamps();
        });
        Schema::create('shots', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('school_id')->constrained();
            $table->foreignId('operator_id')->constrained('users');
            $table->foreignId('site_id')->constrained();
            $table->foreignId('rig_id')->constrained();
            $table->string('title');
            $table->string('mode', 16);
            $table->string('move', 40);
            $table->json('intent');
            $table->json('wind');
            $table->timestamps();
            $table->softDeletes();
            $table->index(['operator_id', 'updated_at']);
        });
        Schema::create('flight_logs', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('school_id')->constrained();
            $table->foreignId('owner_id')->constrained('users');
            $table->char('sha256', 64);
            $table->string('file_name');
            $table->unsignedBigInteger('bytes');
            $table->string('source', 16)->comment('imported or simulated');
            $table->unsignedInteger('samples');
            $table->float('rate_hz');
            $table->json('notes');
            $table->timestamps();
            $table->unique(['school_id', 'owner_id', 'sha256']);
        });
        Schema::create('imports', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('school_id')->constrained();
            $table->foreignId('owner_id')->constrained('users');
            $table->foreignId('shot_id')->nullable()->constrained();
            $table->foreignId('flight_log_id')->nullable()->constrained();
            $table->string('file_name');
            $table->string('path')->comment('of the upload on the storage disk');
            $table->unsignedBigInteger('bytes');
            $table->unsignedBigInteger('bytes_read')->default(0);
            $table->string('state', 16)->default('waiting')->comment('waiting, reading, judging, done or refused');
            $table->json('outcome')->comment('what went wrong and where, or the takes that came of it');
            $table->timestamp('flown_at');
            $table->timestamps();
        });
        Schema::create('takes', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('school_id')->constrained();
            $table->foreignId('operator_id')->constrained('users');
            $table->foreignId('shot_id')->nullable()->constrained();
            $table->foreignId('rig_id')->nullable()->constrained();
            $table->foreignId('flight_log_id')->constrained();
            $table->unsignedInteger('number')->comment('of the take within its log, from 1');
            $table->string('move', 40);
            $table->string('mode', 16)->default('');
            $table->string('direction', 20)->default('');
            $table->float('from_s');
            $table->float('to_s');
            $table->timestamp('flown_at');
            $table->float('score');
            $table->float('uncertainty');
            $table->float('ease')->nullable();
            $table->float('flow')->nullable();
            $table->float('hold')->nullable();
            $table->float('line')->nullable();
            $table->float('frame')->nullable();
            $table->string('verdict', 8);
            $table->float('usable_s');
            $table->string('decision', 8)->nullable()->comment('what the operator decided: keep or drop');
            $table->timestamps();
            $table->softDeletes();
            $table->unique(['flight_log_id', 'number']);
            $table->index(['operator_id', 'id']);
            $table->index(['school_id', 'id']);
            $table->index(['operator_id', 'flown_at']);
        });
        Schema::create('scores', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('school_id')->constrained();
            $table->foreignId('take_id')->constrained();
            $table->string('method', 40);
            $table->json('intent')->comment('what the take was judged against');
            $table->longText('document')->comment('the whole judgement, as core/Scoring gives it');
            $table->timestamps();
            $table->index(['take_id', 'id']);
        });
        Schema::create('comments', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('school_id')->constrained();
            $table->foreignId('take_id')->constrained();
            $table->foreignId('author_id')->constrained('users');
            $table->float('at_s')->comment('moment in the take, in the log’s time');
            $table->text('text');
            $table->timestamps();
            $table->softDeletes();
        });
    }

    public function down(): void
    {
        foreach (['comments', 'scores', 'takes', 'imports', 'flight_logs', 'shots', 'rigs', 'sites'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
