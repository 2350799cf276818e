<?php

declare(strict_types=1);

namespace Tests\Checks;

use Demo\Rigs;
use Larkspur\Choreography\Finding;
use Larkspur\Choreography\Plan;
use Larkspur\Choreography\Planner;
use Larkspur\Choreography\Shot;
use Larkspur\Fields;
use Larkspur\Geo\GeoPoint;
use Larkspur\Geo\LocalFrame;
use Larkspur\Geo\Position;
use Larkspur\Measure\Angle;
use Larkspur\Measure\Ramp;
use Larkspur\Measure\Statistics;
use Larkspur\Site\Beaufort;
use Larkspur\Site\Solid;
use PHPUnit\Framework\TestCase;

use function Tests\said;

/**
 * Planned moves and their sites against closed forms worked out by two routes outside this project (elementary geometry and
 * mechanics), the Beaufort table of the WMO, and the minimum-jerk profile of T. Flash and N. Hogan, J. Neurosci. 5 (1985).
 */
final class GeometryOfMovesTest extends TestCase
{
    public function test_every_ease_is_the_minimum_jerk_profile(): void
    {
        $seen = 0;
        foreach (Reference::table('min-jerk') as [$x, $place, $rate]) {
            self::assertEqualsWithDelta((float) $place, Ramp::rate((float) $x), 1e-6);
            self::assertEqualsWithDelta((float) $rate, Ramp::slope((float) $x), 1e-6);
            $seen++;
        }
        self::assertSame(9, $seen);
    }

    public function test_climbing_round_something(): void
    {
        foreach (Reference::table('helix') as [$v, $r, $vz, , $total, $angle, $perTurn]) {
            $arc = 150.0;
            $rise = (float) $perTurn * $arc / 360;
            $plan = self::plan(
                'climbing-orbit',
                [
                    'radius_m' => (float) $r, 'pace_mps' => (float) $v, 'arc_deg' => $arc, 'climb_m' => $rise, 'height_m' => 6.0,
                    'ease_s' => 1.0, 'start_bearing_deg' => 0.0,
                ],
            );
            $flight = $plan->move->flight;
            $i = intdiv($flight->count(), 2);
            $step = $flight->position($i + 1)->minus($flight->position($i - 1));
            self::assertEqualsWithDelta((float) $vz, $step->up / 0.04, 2e-3 * (float) $v);
            self::assertEqualsWithDelta((float) $total, $step->length() / 0.04, 2e-3 * (float) $v);
            self::assertEqualsWithDelta((float) $angle, atan2($step->up, $step->ground()) / Angle::DEGREE, 0.05);
        }
    }

    public function test_a_spiral_turns_ever_slower_as_it_opens(): void
    {
        [$r0, $r1, $turns, $v, , $length, $seconds, $first, $last] = Reference::table('spiral')[0];
        $plan = self::plan('spiral-orbit', [
            'radius_m' => (float) $r0, 'radius_end_m' => (float) $r1, 'arc_deg' => 360.0 * (float) $turns, 'pace_mps' => (float) $v,
            'height_m' => 8.0, 'ease_s' => 1.0, 'start_bearing_deg' => 0.0,
        ]);
        $flight = $plan->move->flight;
        $subject = $plan->move->subject?->first() ?? self::fail('It has a subject.');
        $way = 0.0;
        for ($i = 1; $i < $flight->count(); $i++) {
            $way += $flight->position($i)->minus($flight->position($i - 1))->ground();
        }
        // How the radius grows over the arc is the move's own choice; ends and bounds are not.
        self::assertEqualsWithDelta((float) $length, $way, 0.12 * (float) $length);
        self::assertEqualsWithDelta((float) $r0, $flight->position(0)->minus($subject)->ground(), 0.01);
        self::assertEqualsWithDelta((float) $r1, $flight->position($flight->count() - 1)->minus($subject)->ground(), 0.01);
        $rate = static fn (float $at): float => abs(
            $flight->heading[$flight->indexAt($at) + 5] - $flight->heading[$flight->indexAt($at) - 5],
        ) / 0.2 / Angle::DEGREE;
        self::assertGreaterThan($rate($plan->move->holdTo - 0.2), $rate($plan->move->holdFrom + 0.2));
        self::assertLessThanOrEqual((float) $first * 1.05, $rate($plan->move->holdFrom + 0.2));
        self::assertEqualsWithDelta((float) $seconds, $plan->move->stop - $plan->move->onset, 0.2 * (float) $seconds);
        self::assertGreaterThan(0.7 * (float) $last, $rate($plan->move->holdTo - 0.2));
    }

    public function test_outside_a_curve_the_craft_is_faster_than_its_subject(): void
    {
        foreach (Reference::table('outside-curve') as [$pace, $bend, $offset, $craft]) {
            // Half a circle walked clockwise: its outside is to the left.
            $pace = (float) $pace / 4;
            $plan = Planner::plan(Shot::read(Fields::of(self::document(
                'side-track', ['distance_m' => abs((float) $offset), 'height_m' => 3.0, 'side' => (float) $offset > 0 ? 'left' : 'right'],
                ['track' => self::circle((float) $bend, $pace), 'base_alt_m' => 4.0],
            ))));
            $flight = $plan->move->flight;
            $i = intdiv($flight->count(), 2);
            $flown = $flight->position($i + 10)->minus($flight->position($i - 10))->ground() / 0.4;
            self::assertEqualsWithDelta((float) $craft / 4, $flown, 0.03 * $pace);
        }
    }

    public function test_overtaking_takes_the_way_over_the_difference_of_paces(): void
    {
        foreach (Reference::table('overtake') as [$craft, $subject, $gain, , $seconds]) {
            if ($seconds === 'never') {
                continue;
            }
            [$v, $u] = [(float) $craft / 4, (float) $subject / 4];
            $plan = self::plan(
                'overtake',
                [
                    'pace_mps' => $v, 'subject_mps' => $u, 'subject_course_deg' => 0.0, 'length_m' => 90.0, 'distance_m' => 5.0,
                    'height_m' => 3.0, 'side' => 'right',
                ],
            );
            $flight = $plan->move->flight;
            $path = $plan->move->subject ?? self::fail('It has a subject.');
            [$a, $b] = [$plan->move->holdFrom + 1.0, $plan->move->holdFrom + 5.0];
            $ahead = static fn (float $t): float => $flight->position($flight->indexAt($t))->north - $path->at($t)->north;
            self::assertEqualsWithDelta((float) $gain / (float) $seconds / 4, ($ahead($b) - $ahead($a)) / 4.0, 0.02 * $v);
        }
    }

    public function test_a_rise_sees_over_an_edge_when_it_is_high_enough(): void
    {
        $seen = 0;
        foreach (Reference::table('reveal-rise') as [$far, $near, $top, $subject, $from, , $height]) {
            $edge = Solid::box('', 'wall', new Position(0, (float) $near, 0), 400.0, 1e-6, (float) $top);
            $sees = static fn (float $h): bool => ! $edge->stands(new Position(0, 0, $h), new Position(0, (float) $far, (float) $subject));
            if ((float) $height > (float) $from) {
                self::assertFalse($sees((float) $height - 0.01));
            }
            self::assertTrue($sees(max((float) $from, (float) $height + 0.01)));
            $seen++;
        }
        self::assertGreaterThanOrEqual(7, $seen);
    }

    public function test_a_planned_rise_says_when_it_uncovers_its_subject(): void
    {
        [$far, $near, $top, , , $vz] = [40.0, 15.0, 6.0, 0.0, 1.0, 1.0];
        // From 40 m away over an edge of 6 m at 15 m, a point 2.4 m up: h* = (6 x 40 - 2.4 x 15) / 25 = 8.16 m.
        $plan = self::plan('rise', [
            'climb_m' => 14.0, 'climb_mps' => $vz, 'distance_m' => $far, 'height_m' => 1.0, 'start_bearing_deg' => 180.0,
        ], [[
            'name' => 'the dyke', 'shape' => 'box', 'role' => 'obstacle', 'east_m' => 0.0, 'north_m' => 44.54 - $far + $near,
            'width_m' => 200.0, 'length_m' => 0.01, 'height_m' => $top,
        ]]);
        $found = array_values(array_filter(
            $plan->findings, static fn (Finding $finding): bool => $finding->id === 'hidden',
        ))[0] ?? self::fail('Nobody says that it is hidden.');
        $i = $plan->move->flight->indexAt($found->value ?? 0.0);

        self::assertEqualsWithDelta(8.16, $plan->move->flight->up[$i], 0.15);
    }

    public function test_flying_toward_an_edge_sees_over_it_when_near_enough(): void
    {
        foreach (Reference::table('reveal-forward') as [$height, $top, $subject, $behind, , , $near]) {
            $sees = static function (float $x) use ($height, $top, $subject, $behind): bool {
                $edge = Solid::box('', 'edge', new Position(0, $x, 0), 5000.0, 1e-6, (float) $top);

                return ! $edge->stands(new Position(0, 0, (float) $height), new Position(0, $x + (float) $behind, (float) $subject));
            };
            if ($near === 'never') {
                self::assertFalse($sees(1.0));
            } elseif ($near === 'always') {
                self::assertTrue($sees(500.0));
            } else {
                self::assertFalse($sees((float) $near + 0.05));
                self::assertTrue($sees((float) $near - 0.05));
            }
        }
    }

    public function test_sliding_past_an_edge_uncovers_what_is_behind_it(): void
    {
        foreach (Reference::table('reveal-side') as [$edge, $subject, $far, $near, $place]) {
            // The wall covers all that lies to the left of its edge.
            $wall = Solid::box('', 'wall', new Position((float) $edge - 500.0, (float) $near, 0), 1000.0, 1e-6, 50.0);
            $sees = static fn (float $y): bool => ! $wall->stands(new Position($y, 0, 2), new Position((float) $subject, (float) $far, 2));
            self::assertFalse($sees((float) $place - 0.01));
            self::assertTrue($sees((float) $place + 0.01));
        }
    }

    public function test_a_round_tower_hides_what_lies_in_its_shadow(): void
    {
        // Seen from 20 m, a tower of 3 m radius covers asin(3 / 20) = 8.627 degrees to either side.
        $tower = Solid::cylinder('', 'tower', new Position(0, 20, 0), 6.0, 12.0);
        foreach ([[8.5, true], [8.75, false]] as [$angle, $hidden]) {
            $angle *= Angle::DEGREE;
            self::assertSame($hidden, $tower->stands(new Position(0, 0, 2), new Position(60 * sin($angle), 60 * cos($angle), 2)));
        }
        // Over its top, before it and beside it nothing is hidden.
        self::assertFalse($tower->stands(new Position(0, 0, 30), new Position(0, 60, 12)));
        self::assertFalse($tower->stands(new Position(0, 0, 2), new Position(0, 16.9, 2)));
        self::assertFalse($tower->stands(new Position(0, 20, 20), new Position(0, 20, 13)));
        self::assertTrue($tower->stands(new Position(0, 20, 20), new Position(0, 20, 11)));
    }

    public function test_the_wind_by_its_name(): void
    {
        foreach (Reference::table('beaufort-tests') as [$speed, $force]) {
            self::assertSame((int) $force, Beaufort::force((float) $speed), "$speed m/s");
        }
        self::assertSame('calm', said(Beaufort::words(0.0)));
        self::assertSame('gentle breeze', said(Beaufort::words(4.0)));
        self::assertSame('hurricane', said(Beaufort::words(60.0)));
    }

    public function test_rank_correlation_of_the_tables(): void
    {
        foreach (Reference::table('spearman') as [$case, $x, $y, $rho]) {
            self::assertEqualsWithDelta(
                (float) $rho, Statistics::rankCorrelation(self::numbers($x), self::numbers($y)), 1e-9, (string) $case,
            );
        }
    }

    /** @return list<float> */
    private static function numbers(string|int|float $cell): array
    {
        return array_map(floatval(...), array_values((array) json_decode((string) $cell, true)));
    }

    /** @return list<array{t: float, lat: float, lon: float, alt_m: float}> */
    private static function circle(float $radius, float $pace): array
    {
        $frame = new LocalFrame(new GeoPoint(57.6004, -0.4, 6.4));
        $track = [];
        for ($k = 0; $k <= 160; $k++) {
            $t = 0.25 * $k;
            $way = $pace * max(0.0, min(30.0, $t - 4.0)) / $radius;
            $point = $frame->geoPoint(new Position($radius * (1 - cos($way)), $radius * sin($way), 0));
            $track[] = ['t' => $t, 'lat' => $point->latitude, 'lon' => $point->longitude, 'alt_m' => $point->altitude];
        }

        return $track;
    }

    /**
     * @param  array<string, float|string>  $parameters
     * @param  list<array<string, mixed>>  $solids
     */
    private static function plan(string $move, array $parameters, array $solids = []): Plan
    {
        return Planner::plan(Shot::read(Fields::of(self::document(
            $move, $parameters, ['lat' => 57.6004, 'lon' => -0.4, 'alt_m' => 6.4, 'base_alt_m' => 4.0], $solids,
        ))));
    }

    /**
     * @param  array<string, float|string>  $parameters
     * @param  array<string, mixed>  $subject
     * @param  list<array<string, mixed>>  $solids
     * @return array<string, mixed>
     */
    private static function document(string $move, array $parameters, array $subject, array $solids = []): array
    {
        return [
            'intent' => ['move' => $move, 'camera' => ['hfov_deg' => 71.6], 'subject' => $subject, 'parameters' => $parameters],
            'rig' => Rigs::all()['curlew'], 'mode' => 'fast',
            'site' => ['home' => ['lat' => 57.6, 'lon' => -0.4, 'alt_m' => 4.0], 'solids' => $solids],
        ];
    }
}
