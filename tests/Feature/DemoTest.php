<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\AdviseOperator;
use App\Models\FlightLog;
use App\Models\Import;
use App\Models\Score;
use App\Models\Take;
use App\Models\User;
use Demo\School;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Artisan;

/** The demo school: whole, made by flying, and with a record from which today's advice follows. */
final class DemoTest extends FeatureCase
{
    public function test_eight_weeks_of_takes_and_advice_that_follows_from_them(): void
    {
        self::assertSame(0, Artisan::call('larkspur:demo'));

        $takes = Take::query()->get();
        self::assertGreaterThanOrEqual(55, $takes->count());
        self::assertSame(0, Import::query()->where('state', '!=', Import::DONE)->count());
        self::assertSame($takes->count(), Score::query()->count());
        self::assertSame($takes->count(), FlightLog::query()->where('source', FlightLog::SIMULATED)->count());
        self::assertGreaterThan(45, Carbon::parse($takes->min('flown_at'))->diffInDays(Carbon::now()));
        foreach (['keep', 'fix'] as $verdict) {
            self::assertGreaterThan(3, $takes->where('verdict', $verdict)->count(), $verdict);
        }

        $tobias = User::query()->where('email', School::OPERATOR)->firstOrFail();
        $own = $takes->where('operator_id', $tobias->id)->sortBy('flown_at')->values();
        $median = static fn ($some): float => (float) $some->median('score');
        self::assertGreaterThan($median($own->take(5)) + 8, $median($own->slice(-5)), 'progress can be seen');

        // Take the last three takes away and the advice is another, with its reason.
        $advise = $this->app?->make(AdviseOperator::class);
        $with = $advise($tobias, Carbon::now());
        Take::query()->whereIn('id', $own->slice(-3)->pluck('id'))->delete();
        $without = $advise($tobias, Carbon::now());
        self::assertNotSame($with->title, $without->title);
        self::assertNotSame($with->reason, $without->reason);

        $count = Take::query()->count();
        self::assertSame(0, Artisan::call('larkspur:demo'));
        self::assertStringContainsString('nothing was changed', Artisan::output());
        self::assertSame($count, Take::query()->count());
    }
}
