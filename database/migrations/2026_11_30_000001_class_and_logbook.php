<?php

declare(strict_types=1);

use App\Progress\LogbookDays;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Cohorts and trainers, what somebody wants sent, a link to a calendar, a goal for each day; logbooks counted by days; kept filters. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('users', static function (Blueprint $table): void {
            $table->string('cohort', 60)->default('');
            $table->foreignId('trainer_id')->nullable()->constrained('users')->nullOnDelete();
            $table->boolean('weekly_mail')->default(true);
            $table->dateTime('weekly_sent_at')->nullable();
            $table->unsignedSmallInteger('goal_min')->nullable()->comment('minutes of practice a day');
            $table->string('calendar_key', 64)->nullable()->unique()->comment('hash of what the link to the calendar ends with');
            $table->dateTime('notices_seen_at')->nullable();
        });
        Schema::table('flight_days', static function (Blueprint $table): void {
            $table->string('purpose', 400)->default('');
        });
        Schema::create('logbook_days', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('school_id')->constrained()->cascadeOnDelete();
            $table->foreignId('operator_id')->constrained('users')->cascadeOnDelete();
            $table->date('date')->comment('on the clock of the school');
            foreach (['takes', 'by_hand', 'practised', 'automated', 'clockwise', 'counterclockwise', 'slow'] as $count) {
                $table->unsignedInteger($count);
            }
            $table->double('flown_s')->comment('within takes, with a craft');
            $table->double('practised_s');
            $table->unique(['operator_id', 'date']);
        });
        Schema::create('kept_filters', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('school_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('name', 60);
            $table->json('filter');
            $table->timestamps();
            $table->unique(['user_id', 'name']);
        });
        foreach (DB::table('schools')->pluck('id') as $school) {
            LogbookDays::recountSchool((int) $school);
        }
    }

    public function down(): void
    {
        foreach (['kept_filters', 'logbook_days'] as $table) {
            Schema::dropIfExists($table);
        }
        Schema::table('flight_days', static fn (Blueprint $table) => $table->dropColumn('purpose'));
        Schema::table('users', static function (Blueprint $table): void {
            $table->dropConstrainedForeignId('trainer_id');
            $table->dropColumn(['cohort', 'weekly_mail', 'weekly_sent_at', 'goal_min', 'calendar_key', 'notices_seen_at']);
        });
    }
};
