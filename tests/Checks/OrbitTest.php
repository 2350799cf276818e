<?php

declare(strict_types=1);

namespace Tests\Checks;

use Demo\Rigs;
use Larkspur\Choreography\Checks as PlanChecks;
use Larkspur\Choreography\Planner;
use Larkspur\Choreography\Shot;
use Larkspur\Fields;
use Larkspur\Measure\Angle;
use Larkspur\Rig\CubicExpoCurve;
use Larkspur\Site\Wind;
use PHPUnit\Framework\TestCase;

/** Orbits against uniform circular motion (elementary mechanics, closed form against finite differences) and facts of the trade. */
final class OrbitTest extends TestCase
{
    public function test_turn_rate_tilt_and_time_of_planned_orbits(): void
    {
        $seen = 0;
        foreach (Reference::table('orbit') as [$pace, $radius, $arc, $height, $turn, , $arcTime, , , $tilt, $slant]) {
            $plan = Planner::plan(self::shot([
                'radius_m' => (float) $radius, 'pace_mps' => (float) $pace, 'arc_deg' => (float) $arc, 'height_m' => (float) $height,
                'ease_s' => 1.0,
            ]));
            $flight = $plan->move->flight;
            $middle = intdiv($flight->count(), 2);
            self::assertEqualsWithDelta(
                (float) $turn, ($flight->heading[$middle + 1] - $flight->heading[$middle]) / 0.02 / Angle::DEGREE, 1e-3,
            );
            self::assertEqualsWithDelta((float) $tilt, $flight->tilt[$middle] / Angle::DEGREE, 1e-3);
            self::assertEqualsWithDelta((float) $slant, $plan->move->viewing, 1e-3);
            // From first motion to last an ease longer than the arc at full pace.
            self::assertEqualsWithDelta((float) $arcTime + 1.0, $plan->move->stop - $plan->move->onset, 1e-3);
            $seen++;
        }
        self::assertSame(7, $seen);
    }

    public function test_sticks_for_an_orbit(): void
    {
        foreach (Reference::table('orbit-sticks') as [$v, $r, $top, $turnTop, $expoSlide, $expoTurn, , , $slide, $turn]) {
            self::assertEqualsWithDelta((float) $slide, (new CubicExpoCurve((float) $expoSlide))->travel((float) $v / (float) $top), 1e-5);
            self::assertEqualsWithDelta(
                (float) $turn, (new CubicExpoCurve((float) $expoTurn))->travel((float) $v / (float) $r / Angle::DEGREE / (float) $turnTop),
                1e-5,
            );
        }
    }

    public function test_thumbs_go_opposite_ways(): void
    {
        // Common practice, no published source: seen from above, slide left with turn right goes clockwise.
        foreach (['clockwise' => [-1, 1], 'counterclockwise' => [1, -1]] as $direction => [$slide, $turn]) {
            $plan = Planner::plan(self::shot(['direction' => $direction]));
            $holds = [];
            foreach ($plan->parts as $press) {
                $holds[$press->finger->value] = $press->hold;
            }
            self::assertSame($slide, ($holds['slide'] ?? 0.0) <=> 0.0);
            self::assertSame($turn, ($holds['turn'] ?? 0.0) <=> 0.0);
        }
    }

    public function test_facts_of_the_trade_about_circles(): void
    {
        // Derived: radius 30 at 3 m/s turns 5.73 deg/s and 57.3 degrees in ten seconds; 3 m/s with 6 deg/s is a circle of 28.6 m.
        $plan = Planner::plan(self::shot(['radius_m' => 30.0, 'pace_mps' => 3.0, 'arc_deg' => 120.0]));
        self::assertEqualsWithDelta(5.73, $plan->move->pan / Angle::DEGREE, 0.005);
        self::assertEqualsWithDelta(57.3, 10 * $plan->move->pan / Angle::DEGREE, 0.05);
        self::assertEqualsWithDelta(28.6, 3 / (6 * Angle::DEGREE), 0.05);
        // The seven-second rule of thumb of panning tables (from memory): HFOV / 7 s is the fastest pan that does not strobe.
        $fast = Planner::plan(self::shot(['radius_m' => 20.0, 'pace_mps' => 20.0 * 73.7398 * Angle::DEGREE / 7]));
        self::assertEqualsWithDelta(7.0, PlanChecks::crossingSeconds($fast->shot, $fast->move), 1e-6);
    }

    public function test_wind_grows_with_height_by_the_power_law(): void
    {
        foreach (Reference::table('wind-power-law') as $row) {
            if (abs((float) $row[0] - 1 / 7) > 1e-5) {
                continue;
            }
            $wind = new Wind(0.0, 1.0, 1.5);
            foreach ([2, 10, 30, 50, 60, 100, 120] as $i => $height) {
                self::assertEqualsWithDelta((float) $row[$i + 1], $wind->meanAt($height), 1e-6);
            }

            return;
        }
        self::fail('The table has no row for the exponent 1/7.');
    }

    /** @param  array<string, float|string>  $parameters */
    private static function shot(array $parameters): Shot
    {
        return Shot::read(Fields::of([
            'intent' => [
                'move' => 'orbit', 'subject' => ['lat' => 57.6004, 'lon' => -0.4, 'alt_m' => 4.0],
                'camera' => ['hfov_deg' => 73.7398], 'parameters' => $parameters,
            ],
            'rig' => Rigs::all()['curlew'], 'mode' => 'fast', 'site' => ['home' => ['lat' => 57.6, 'lon' => -0.4, 'alt_m' => 4.0]],
        ]));
    }
}
