<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Larkspur\Move\Catalogue;
use Larkspur\Training\FingerMarks;

/** Progress: what each finger did in a take, ladders and what is said of their steps, lessons, what was not wanted today, own entries. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('takes', static function (Blueprint $table): void {
            foreach (['climb', 'turn', 'run', 'slide', 'tilt'] as $finger) {
                $table->double($finger)->nullable();
            }
            $table->double('distance_m')->nullable();
            $table->double('pace_mps')->nullable();
            $table->string('faults', 400)->default('')->comment('ids, the costliest first');
        });
        foreach (DB::table('takes')->select('id', 'move', 'direction')->lazyById(500) as $take) {
            $score = DB::table('scores')->where('take_id', $take->id)->orderByDesc('id')->first();
            if ($score !== null && in_array($take->move, Catalogue::ids(), true)) {
                $document = json_decode((string) $score->document, true);
                $parameters = json_decode((string) $score->intent, true)['parameters'] ?? [];
                $faults = array_values(is_array($document['faults'] ?? null) ? $document['faults'] : []);
                DB::table('takes')->where('id', $take->id)->update([
                    ...FingerMarks::of($take->move, array_map(
                        static fn (array $fault): array => [(string) $fault['axis'], (float) ($fault['cost'] ?? 0.0)], $faults,
                    )),
                    'faults' => implode(',', array_column($faults, 'id')),
                    'distance_m' => $parameters['radius_m'] ?? $parameters['distance_m'] ?? null,
                    'pace_mps' => $parameters['pace_mps'] ?? null,
                    'direction' => $take->direction !== '' ? $take->direction : $parameters['side'] ?? '',
                ]);
            }
        }
        Schema::table('users', static function (Blueprint $table): void {
            $table->json('training')->nullable()->comment('what a trainer holds otherwise for this operator');
        });
        Schema::create('ladders', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('school_id')->constrained()->cascadeOnDelete();
            $table->foreignId('author_id')->nullable()->constrained('users')->nullOnDelete();
            $table->unsignedInteger('version');
            $table->string('reason', 400)->default('');
            $table->json('document');
            $table->timestamps();
            $table->unique(['school_id', 'version']);
        });
        Schema::create('step_sayings', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('school_id')->constrained()->cascadeOnDelete();
            $table->foreignId('operator_id')->constrained('users')->cascadeOnDelete();
            $table->foreignId('author_id')->nullable()->constrained('users')->nullOnDelete();
            $table->string('author', 120)->comment('as they were called then');
            $table->string('step', 48);
            $table->string('kind', 16)->comment('word, doubt, sign-off, withdrawal, supervisor');
            $table->boolean('overruled')->default(false);
            $table->string('text', 400)->default('');
            $table->unsignedInteger('ladder_version');
            $table->json('rests_on')->comment('ids of takes');
            $table->timestamps();
            $table->index(['operator_id', 'step', 'id']);
        });
        Schema::create('not_todays', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('school_id')->constrained()->cascadeOnDelete();
            $table->foreignId('operator_id')->constrained('users')->cascadeOnDelete();
            $table->string('suggestion', 150);
            $table->timestamps();
            $table->index(['operator_id', 'created_at']);
        });
        Schema::create('lessons', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('school_id')->constrained()->cascadeOnDelete();
            $table->foreignId('author_id')->nullable()->constrained('users')->nullOnDelete();
            $table->string('title', 120);
            $table->string('purpose', 400);
            $table->json('steps');
            $table->unsignedInteger('minutes')->nullable();
            $table->unsignedInteger('batteries')->nullable();
            $table->date('wanted_on')->nullable();
            $table->unsignedInteger('version')->default(1);
            $table->timestamps();
            $table->softDeletes();
            $table->index(['school_id', 'wanted_on']);
        });
        Schema::create('lesson_members', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('lesson_id')->constrained()->cascadeOnDelete();
            $table->foreignId('operator_id')->constrained('users')->cascadeOnDelete();
            $table->json('ticked')->comment('numbers of steps that nobody can measure, ticked by hand');
            $table->string('comment', 1000)->default('');
            $table->timestamps();
            $table->unique(['lesson_id', 'operator_id']);
        });
        Schema::create('own_entries', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('school_id')->constrained()->cascadeOnDelete();
            $table->foreignId('operator_id')->constrained('users')->cascadeOnDelete();
            $table->dateTime('flown_at');
            $table->double('minutes');
            $table->unsignedInteger('batteries')->default(0);
            $table->string('craft', 80)->default('');
            $table->string('place', 120)->default('');
            $table->string('text', 1000)->default('');
            $table->timestamps();
            $table->index(['operator_id', 'flown_at']);
        });
    }

    public function down(): void
    {
        foreach (['own_entries', 'lesson_members', 'lessons', 'not_todays', 'step_sayings', 'ladders'] as $table) {
            Schema::dropIfExists($table);
        }
        Schema::table('users', static fn (Blueprint $table) => $table->dropColumn('training'));
        Schema::table('takes', static fn (Blueprint $table) => $table->dropColumn(
            ['climb', 'turn', 'run', 'slide', 'tilt', 'distance_m', 'pace_mps', 'faults'],
        ));
    }
};
