<?php

declare(strict_types=1);

namespace Tests\Core\Choreography;

use Demo\Rigs;
use Documents\Units;
use Larkspur\Choreography\Plan;
use Larkspur\Choreography\Planner;
use Larkspur\Choreography\ShotNumber;
use Larkspur\Choreography\ShotNumbers;
use Larkspur\Fields;
use Larkspur\Move\Catalogue;
use Larkspur\Move\Combination;
use Larkspur\Training\Lesson;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Shots;

/** The numbers on the sheet, against what geometry says of them: each formula stands beside its check. */
final class ShotNumbersTest extends TestCase
{
    /** @return iterable<string, array{float, float, float, float}> */
    public static function orbits(): iterable
    {
        // Turn rate = v / r, a lap = 2 pi r / v: elementary geometry, to the digits in which it is said.
        yield '30 m at 3 m/s' => [30.0, 3.0, 5.73, 62.8];
        yield '10 m at 2 m/s' => [10.0, 2.0, 11.46, 31.4];
        yield '100 m at 5 m/s' => [100.0, 5.0, 2.86, 125.7];
    }

    #[DataProvider('orbits')]
    public function test_an_orbit_turns_as_its_pace_over_its_radius(float $radius, float $pace, float $rate, float $lap): void
    {
        $plan = Shots::plan(['radius_m' => $radius, 'pace_mps' => $pace, 'arc_deg' => 120.0]);
        $numbers = self::first($plan);

        self::assertSame($rate, round($numbers['turn_rate_dps'], 2));
        self::assertSame($lap, round($numbers['lap_s'], 1));
        $hold = $plan->move->holdTo - $plan->move->holdFrom;
        self::assertEqualsWithDelta($pace / $radius * 180 / M_PI * $hold, $numbers['hold_arc_deg'], 0.1);
        self::assertEqualsWithDelta($pace / ($plan->move->flight->up[0] - $plan->move->ground), $numbers['felt_speed_per_s'], 0.002);
    }

    public function test_heights_are_above_three_things(): void
    {
        $numbers = self::first(Shots::plan(['radius_m' => 24.0, 'height_m' => 9.0]));
        // The subject's foot lies 1.2 m above take-off on this site.
        self::assertEqualsWithDelta(1.2, $numbers['height_above_takeoff_m'] - $numbers['height_above_foot_m'], 0.01);
        self::assertEqualsWithDelta($numbers['height_above_foot_m'], $numbers['height_above_ground_m'], 0.01);
    }

    public function test_a_pull_away_settles_at_the_angle_of_its_way(): void
    {
        $plan = self::lesson('pull-away');
        $numbers = self::first($plan);
        $k = $plan->move->flight->indexAt(($plan->move->holdFrom + $plan->move->holdTo) / 2);
        $flight = $plan->move->flight;
        $up = $flight->up[$k + 10] - $flight->up[$k - 10];
        $back = hypot($flight->east[$k + 10] - $flight->east[$k - 10], $flight->north[$k + 10] - $flight->north[$k - 10]);
        // atan(up / back) below level: both paces are even, so far off the subject lies along the way itself.
        self::assertEqualsWithDelta(-atan($up / $back) * 180 / M_PI, $numbers['settling_tilt_deg'], 0.05);
        self::assertGreaterThan($numbers['settling_tilt_deg'], $numbers['tilt_end_deg'], 'It only goes toward it.');
        self::assertGreaterThan($plan->move->holdFrom, $numbers['release_s']);
        self::assertLessThan($plan->move->holdTo, $numbers['release_s']);
    }

    public function test_what_waits_has_its_trigger_and_what_does_not_has_none(): void
    {
        $plan = self::lesson('ascent-late-tilt');
        $numbers = self::first($plan);
        $t = $numbers['trigger_s'] + $plan->move->onset;
        self::assertEqualsWithDelta($plan->move->at($t)->up, $numbers['trigger_height_m'], 0.02);
        $tilt = $plan->move->flight->tilt;
        self::assertEqualsWithDelta($tilt[0], $tilt[$plan->move->flight->indexAt($t - 0.2)], 1e-3, 'Until then the wheel rests.');
        foreach (['fly-over', 'tilt', 'orbit', 'pull-away'] as $move) {
            self::assertArrayNotHasKey('trigger_s', self::first(self::lesson($move)), $move);
        }
    }

    public function test_sky_is_half_the_picture_at_level_and_a_third_with_the_horizon_on_the_upper_third(): void
    {
        $at = static function (float $tilt): float {
            $document = Shots::document(['tilt_start_deg' => $tilt, 'tilt_end_deg' => $tilt - 20.0]);
            $document['intent']['move'] = 'tilt';
            // 45 degrees high at 16:9 (2 atan(16/9 tan 22.5 degrees)).
            $document['intent']['camera'] = ['hfov_deg' => 2 * atan(16 / 9 * tan(22.5 * M_PI / 180)) * 180 / M_PI, 'aspect' => 16 / 9];

            return self::first(Planner::plan(\Larkspur\Choreography\Shot::read(Fields::of($document))))['sky_share'];
        };
        self::assertEqualsWithDelta(50.0, $at(0.0), 0.1);
        // tan(tilt) = tan(VFOV / 2) / 3 puts it there: 7.9 degrees below level for 45 degrees high.
        self::assertEqualsWithDelta(100 / 3, $at(-7.9), 0.3);
    }

    public function test_a_subject_that_is_met_is_closed_in_on_with_the_sum_of_both_paces(): void
    {
        $plan = self::lesson('head-on');
        $numbers = self::first($plan);
        $middle = ($plan->move->holdFrom + $plan->move->holdTo) / 2;
        $pace = static fn (callable $at): float => $at($middle + 0.1)->minus($at($middle - 0.1))->length() / 0.2;
        $subject = $plan->move->subject;
        self::assertNotNull($subject);
        $both = $pace($plan->move->at(...)) + $pace($subject->at(...));
        // Nearly the sum of both while it is still far off, for they do not meet quite in the middle.
        self::assertEqualsWithDelta($both, $numbers['closing_mps'], 0.1 * $both);
        self::assertGreaterThan(0.0, $numbers['seconds_in_frame']);
        // Followed at its own pace it neither slips nor comes nearer.
        $follow = self::first(self::lesson('follow'));
        self::assertLessThan(0.05, $follow['slip_dps']);
        self::assertArrayNotHasKey('closing_mps', $follow);
    }

    public function test_of_every_move_nothing_is_said_that_means_nothing(): void
    {
        $seen = [];
        foreach (array_diff(Catalogue::ids(), [Combination::ID]) as $move) {
            $plan = self::lesson($move);
            $last = $plan->move->flight->duration();
            foreach (ShotNumbers::of($plan) as $number) {
                $seen[$number->id] = true;
                $value = Units::value($number->quantity);
                self::assertTrue(is_finite($value) && abs($value) < 1100, "$move: $number->id is $value");
                self::assertTrue($number->at === null || ($number->at >= 0.0 && $number->at <= $last), "$move: $number->id");
                self::assertTrue($number->travel === null || abs($number->travel) <= 1.0, "$move: $number->id");
            }
            $numbers = self::first($plan);
            self::assertArrayHasKey('tilt_start_deg', $numbers, $move);
            self::assertArrayHasKey('height_above_takeoff_m', $numbers, $move);
            self::assertSame($plan->move->subject === null, ! isset($numbers['distance_m']), $move);
        }
        self::assertCount(27, $seen, 'Each has some move that it belongs to: '.implode(', ', array_keys($seen)));
    }

    private static function lesson(string $move): Plan
    {
        $rig = Rigs::all()['lapwing'];

        return Lesson::planned($move, $rig, 'standard', $rig['camera']);
    }

    /** @return array<string, float> the first of each, in the units of files */
    private static function first(Plan $plan): array
    {
        $first = [];
        foreach (ShotNumbers::of($plan) as $number) {
            assert($number instanceof ShotNumber);
            $first[$number->id] ??= Units::value($number->quantity);
        }

        return $first;
    }
}
