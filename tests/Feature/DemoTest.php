<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\FlightLog;
use App\Models\Import;
use App\Models\Recording;
use App\Models\Score;
use App\Models\Spotting;
use App\Models\Take;
use App\Models\User;
use App\Progress\OperatorRecord;
use App\Progress\SuggestNext;
use Demo\School;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Artisan;

/** The demo school: whole, made by flying, and with a record from which today's advice follows. */
final class DemoTest extends FeatureCase
{
    public function test_twelve_weeks_of_takes_and_what_next_that_follows_from_them(): void
    {
        self::assertSame(0, Artisan::call('larkspur:demo'));

        $takes = Take::query()->get();
        self::assertGreaterThanOrEqual(250, $takes->count());
        self::assertGreaterThan(35, $takes->pluck('move')->unique()->count(), 'All families are flown.');
        self::assertSame(0, Import::query()->where('state', '!=', Import::DONE)->count());
        self::assertSame($takes->count(), Score::query()->count());
        // Practice of every kind is there too, and stays apart.
        $practised = $takes->where('practised', true);
        self::assertSame(9, $practised->count());
        self::assertSame(['gamepad', 'keyboard', 'touch'], $practised->pluck('practice.device')->unique()->sort()->values()->all());
        self::assertSame(1, Recording::query()->where('kind', Recording::REHEARSAL)->count());
        self::assertSame(6, Spotting::detectionOf(User::query()->where('email', School::OPERATOR)->firstOrFail()->id)->rounds());
        $takes = $takes->where('practised', false);
        self::assertSame($takes->count(), FlightLog::query()->where('source', FlightLog::SIMULATED)->count());
        self::assertGreaterThan(45, Carbon::parse($takes->min('flown_at'))->diffInDays(Carbon::now()));
        self::assertSame(8, User::query()->where('role', User::OPERATOR)->count());
        foreach (['keep', 'fix'] as $verdict) {
            self::assertGreaterThan(3, $takes->where('verdict', $verdict)->count(), $verdict);
        }

        $tobias = User::query()->where('email', School::OPERATOR)->firstOrFail();
        $own = $takes->where('operator_id', $tobias->id)->where('move', 'orbit')->sortBy('flown_at')->values();
        $median = static fn ($some): float => (float) $some->median('score');
        self::assertGreaterThan($median($own->take(5)) + 8, $median($own->slice(-5)), 'progress can be seen');

        // Take most of the takes away and something else is to be done today, on other evidence.
        $juno = User::query()->where('email', 'juno@skerrow.example')->firstOrFail();
        $suggest = $this->app?->make(SuggestNext::class);
        self::assertInstanceOf(SuggestNext::class, $suggest);
        $with = $suggest($juno, OperatorRecord::of($juno), 'desk');
        $latest = Take::query()->where('operator_id', $juno->id)->orderBy('flown_at')->skip(3)->take(500);
        Take::query()->whereIn('id', $latest->pluck('id'))->delete();
        $without = $suggest($juno, OperatorRecord::of($juno), 'desk');
        self::assertNotEquals($with->said[0]->title, $without->said[0]->title);
        self::assertNotEquals($with->said[0]->evidence, $without->said[0]->evidence);

        $count = Take::query()->count();
        self::assertSame(0, Artisan::call('larkspur:demo'));
        self::assertStringContainsString('nothing was changed', Artisan::output());
        self::assertSame($count, Take::query()->count());
    }
}
