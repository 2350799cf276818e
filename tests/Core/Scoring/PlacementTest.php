<?php

declare(strict_types=1);

namespace Tests\Core\Scoring;

use Larkspur\Choreography\Plan;
use Larkspur\Fields;
use Larkspur\Flight\Recorder;
use Larkspur\Move\Intent;
use Larkspur\Scoring\PlaceDoubtful;
use Larkspur\Scoring\Placement;
use Larkspur\Scoring\Scorer;
use Larkspur\Telemetry\FlightLog;
use Larkspur\Telemetry\Reading;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Shots;

use function Tests\said;

/** A log from elsewhere is asked about, with what its numbers would have to mean; it is never scored as bad flying. */
final class PlacementTest extends TestCase
{
    /** @return iterable<string, array{callable(FlightLog): FlightLog, Reading}> how it was spoilt, and the reading that mends it */
    public static function spoilt(): iterable
    {
        yield 'latitude and longitude exchanged' => [
            static fn (FlightLog $log): FlightLog => $log->with(['lat' => $log->column('lon'), 'lon' => $log->column('lat')]),
            Reading::Swapped,
        ];
        yield 'radians' => [static fn (FlightLog $log): FlightLog => $log->with([
            'lat' => array_map(deg2rad(...), $log->column('lat')), 'lon' => array_map(deg2rad(...), $log->column('lon')),
        ]), Reading::Radians];
        yield 'feet' => [static fn (FlightLog $log): FlightLog => $log->with([
            'alt_m' => array_map(static fn (float $m): float => $m / 0.3048, $log->column('alt_m')),
        ]), Reading::Feet];
        yield 'heights from take-off' => [static fn (FlightLog $log): FlightLog => $log->with([
            'alt_m' => array_map(static fn (float $m): float => $m - 180.0, $log->column('alt_m')),
        ]), Reading::FromTakeOff];
    }

    /** @param  callable(FlightLog): FlightLog  $spoil */
    #[DataProvider('spoilt')]
    public function test_numbers_of_another_meaning_are_recognised_and_read_again(callable $spoil, Reading $wanted): void
    {
        [$log, $intent] = self::flown();
        Placement::check($log, $intent);
        $spoilt = $spoil($log);
        try {
            Placement::check($spoilt, $intent);
            self::fail('it lies elsewhere');
        } catch (PlaceDoubtful $doubtful) {
            self::assertArrayHasKey($wanted->value, $doubtful->readings);
            self::assertStringContainsString($wanted->value, said($doubtful->expected));
        }
        $read = $wanted->of($spoilt, 180.0);
        Placement::check($read, $intent);

        self::assertEqualsWithDelta(Scorer::score($log, $intent)->score, Scorer::score($read, $intent)->score, 0.5);
    }

    public function test_a_log_of_another_place_has_no_reading(): void
    {
        [$log, $intent] = self::flown();
        $far = $log->with(['lat' => array_map(static fn (float $lat): float => $lat + 0.02, $log->column('lat'))]);
        try {
            Placement::check($far, $intent);
            self::fail('it lies 2 km off');
        } catch (PlaceDoubtful $doubtful) {
            self::assertSame([], $doubtful->readings);
            self::assertEqualsWithDelta(2200.0, $doubtful->written->ground(), 60.0);
            self::assertStringContainsString('from the place of its plan', said($doubtful->fact));
        }
    }

    public function test_bad_flying_and_a_plan_without_a_place_are_not_doubted(): void
    {
        [$log, $intent] = self::flown();
        // 200 m aside and 20 m too high is a pilot, or a pin; not another place.
        Placement::check($log->with([
            'lat' => array_map(static fn (float $lat): float => $lat + 0.0018, $log->column('lat')),
            'alt_m' => array_map(static fn (float $m): float => $m + 20.0, $log->column('alt_m')),
        ]), $intent);
        Placement::check($log, new Intent('orbit', null, null, 0.5, 0.5, $intent->lens, null, []));

        self::assertSame($log, Reading::AsWritten->of($log, 4.0));
    }

    /** @return array{FlightLog, Intent} an orbit on a hill, 180 m above the sea */
    private static function flown(): array
    {
        $plan = self::plan();
        $log = (new Recorder)->record($plan->move->flight, $plan->shot->site->frame());
        $raise = 180.0 - ($plan->move->intent->subjectBase ?? $plan->move->intent->subject->altitude ?? 0.0);
        $written = (array) json_decode((string) json_encode($plan->move->intent->toArray()), true);
        $written['subject']['alt_m'] += $raise;
        $written['subject']['base_alt_m'] = 180.0;
        unset($written['home']);

        return [
            $log->with(['alt_m' => array_map(static fn (float $m): float => $m + $raise, $log->column('alt_m'))]),
            Intent::read(Fields::of($written)),
        ];
    }

    private static function plan(): Plan
    {
        return Shots::plan([
            'radius_m' => 21.0, 'arc_deg' => 140.0, 'pace_mps' => 2.3, 'direction' => 'clockwise', 'start_bearing_deg' => 190.0,
            'height_m' => 9.0,
        ]);
    }
}
