<?php

declare(strict_types=1);

namespace Tests\Core\Move;

use Demo\Rigs;
use Larkspur\Choreography\Finding;
use Larkspur\Choreography\Plan;
use Larkspur\Choreography\Planner;
use Larkspur\Choreography\Shot;
use Larkspur\Fields;
use Larkspur\Flight;
use Larkspur\Geo\GeoPoint;
use Larkspur\Geo\LocalFrame;
use Larkspur\Geo\Position;
use Larkspur\Measure\Angle;
use Larkspur\Measure\Statistics;
use Larkspur\Move\Judging\Mark;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Shots;

use function Tests\said;

/** The shape of the moves: where they begin, where they end, and what stays as it was on the way. */
final class ShapesTest extends TestCase
{
    /** @return iterable<string, array{string, array<string, float>, array{float, float, float}}> */
    public static function straightWays(): iterable
    {
        // Ahead, to the right and up, m, of a lens that looks to its heading.
        yield 'push-in' => ['push-in', ['length_m' => 18.0], [18.0, 0.0, 0.0]];
        yield 'straight back' => ['straight-back', ['length_m' => 18.0], [-18.0, 0.0, 0.0]];
        yield 'rise' => ['rise', ['climb_m' => 9.0], [0.0, 0.0, 9.0]];
        yield 'sink' => ['sink', ['climb_m' => -9.0, 'height_m' => 14.0], [0.0, 0.0, -9.0]];
        yield 'rise and advance' => ['rise-and-advance', ['length_m' => 15.0, 'climb_m' => 8.0], [15.0, 0.0, 8.0]];
        yield 'sink and retreat' => ['sink-and-retreat', ['length_m' => 15.0, 'climb_m' => -8.0, 'height_m' => 12.0], [-15.0, 0.0, -8.0]];
        yield 'low over water' => ['low-over-water', ['length_m' => 22.0], [22.0, 0.0, 0.0]];
    }

    /**
     * @param  array<string, float>  $parameters
     * @param  array{float, float, float}  $way
     */
    #[DataProvider('straightWays')]
    public function test_a_straight_way_leads_where_it_should_and_the_heading_rests(string $move, array $parameters, array $way): void
    {
        $flight = self::plan($move, $parameters)->move->flight;
        $last = $flight->count() - 1;
        [$ahead, $right] = self::inOwnWay($flight, $flight->position($last)->minus($flight->position(0)));

        self::assertEqualsWithDelta($way[0], $ahead, 1e-6);
        self::assertEqualsWithDelta($way[1], $right, 1e-6);
        self::assertEqualsWithDelta($way[2], $flight->up[$last] - $flight->up[0], 1e-6);
        self::assertEqualsWithDelta(0.0, Statistics::greatest($flight->heading) - Statistics::least($flight->heading), 1e-9);
    }

    /** @return iterable<string, array{string}> */
    public static function bothSides(): iterable
    {
        foreach (['lateral-dolly', 'diagonal-dolly', 'sideways-crane', 'round-the-side'] as $move) {
            yield $move => [$move];
        }
    }

    #[DataProvider('bothSides')]
    public function test_left_is_the_mirror_of_right(string $move): void
    {
        $ways = [];
        foreach (['left', 'right'] as $side) {
            $flight = self::plan($move, ['side' => $side])->move->flight;
            $ways[$side] = [
                ...self::inOwnWay($flight, $flight->position($flight->count() - 1)->minus($flight->position(0))),
                $flight->up[$flight->count() - 1] - $flight->up[0],
            ];
        }
        self::assertGreaterThan(1.0, $ways['right'][1]);
        self::assertEqualsWithDelta($ways['left'][0], $ways['right'][0], 1e-6);
        self::assertEqualsWithDelta(-$ways['left'][1], $ways['right'][1], 1e-6);
        self::assertEqualsWithDelta($ways['left'][2], $ways['right'][2], 1e-6);
    }

    /** @return iterable<string, array{string, float, float}> */
    public static function tilts(): iterable
    {
        yield 'from the ground to the horizon' => ['ground-to-horizon', -80.0, -8.0];
        yield 'backward, up' => ['reverse-tilt-up', -50.0, -9.0];
        yield 'backward, down' => ['reverse-tilt-down', -6.0, -45.0];
        yield 'low, up' => ['low-tilt-up', -35.0, -4.0];
        yield 'back, rise and up' => ['back-rise-tilt', -40.0, -8.0];
        yield 'sinking to the horizon' => ['sink-to-horizon', -60.0, -8.0];
    }

    #[DataProvider('tilts')]
    public function test_a_reveal_begins_and_ends_at_its_tilts_and_never_overshoots(string $move, float $from, float $to): void
    {
        $tilt = self::plan($move, ['tilt_start_deg' => $from, 'tilt_end_deg' => $to])->move->flight->tilt;

        self::assertEqualsWithDelta($from, $tilt[0] / Angle::DEGREE, 1e-6);
        self::assertEqualsWithDelta($to, $tilt[count($tilt) - 1] / Angle::DEGREE, 1e-6);
        self::assertGreaterThanOrEqual(min($from, $to) - 1e-6, Statistics::least($tilt) / Angle::DEGREE);
        self::assertLessThanOrEqual(max($from, $to) + 1e-6, Statistics::greatest($tilt) / Angle::DEGREE);
        for ($i = 1, $way = $to <=> $from; $i < count($tilt); $i++) {
            self::assertGreaterThanOrEqual(-1e-9, $way * ($tilt[$i] - $tilt[$i - 1]));
        }
    }

    /** @return iterable<string, array{string}> */
    public static function holdingASubject(): iterable
    {
        foreach ([
            'lift-and-tilt', 'drop-and-tilt', 'pull-away', 'push-in-from-high', 'fly-over', 'orbit', 'climbing-orbit', 'spiral-orbit',
            'slide-with-pan',
        ] as $move) {
            yield $move => [$move];
        }
    }

    #[DataProvider('holdingASubject')]
    public function test_the_subject_keeps_the_place_that_was_chosen(string $move): void
    {
        $document = Shots::document();
        $document['intent'] = [...$document['intent'], 'move' => $move, 'aim' => ['x' => 0.36, 'y' => 0.42], 'parameters' => (object) []];
        unset($document['intent']['parameters']);
        $plan = Planner::plan(Shot::read(Fields::of($document)));
        $subject = $plan->move->subject?->first() ?? self::fail('It has a subject.');
        $from = (int) ceil($plan->move->holdFrom / 0.02);
        foreach (range($from, (int) floor($plan->move->holdTo / 0.02), 25) as $i) {
            $seen = $plan->view($i)->project($subject) ?? self::fail('It is behind the lens.');
            self::assertEqualsWithDelta(0.36 - 0.5, $seen->u, 0.02);
            self::assertEqualsWithDelta(0.5 - 0.42, $seen->v, 0.02);
        }
    }

    /** @return iterable<string, array{string, float, float}> */
    public static function beside(): iterable
    {
        yield 'side track' => ['side-track', 90.0, 12.0];
        yield 'follow' => ['follow', 180.0, 12.0];
        yield 'lead' => ['lead', 0.0, 12.0];
    }

    #[DataProvider('beside')]
    public function test_a_subject_on_any_track_is_kept_at_its_distance_and_its_side(string $move, float $side, float $distance): void
    {
        $plan = self::plan($move, ['distance_m' => $distance, 'height_m' => 3.0], ['track' => self::bend(), 'base_alt_m' => 4.0]);
        $flight = $plan->move->flight;
        $subject = $plan->move->subject ?? self::fail('It has a subject.');
        foreach (range((int) ceil($plan->move->holdFrom / 0.02), (int) floor($plan->move->holdTo / 0.02), 40) as $i) {
            $t = $flight->t[$i];
            $off = $flight->position($i)->minus($subject->at($t));
            self::assertEqualsWithDelta($distance, $off->ground(), 0.08 * $distance);
            $course = $subject->course($t, 1.0);
            $course === null || self::assertEqualsWithDelta($side, abs(Angle::wrap($off->bearing() - $course)) / Angle::DEGREE, 12.0);
            // And the lens looks at it.
            self::assertEqualsWithDelta(0.0, $plan->view($i)->project($subject->at($t))->u ?? 1.0, 0.02);
        }
    }

    public function test_overtaking_begins_behind_and_ends_ahead_and_head_on_the_other_way(): void
    {
        $along = static function (string $move): array {
            $plan = self::plan(
                $move,
                ['subject_course_deg' => 0.0, 'subject_mps' => 1.4, 'pace_mps' => $move === 'overtake' ? 3.0 : 2.0, 'length_m' => 60.0],
            );
            $flight = $plan->move->flight;
            $subject = $plan->move->subject ?? self::fail('It has a subject.');
            $ahead = static fn (float $t): float => $flight->position($flight->indexAt($t))->north - $subject->at($t)->north;

            return [$ahead($plan->move->onset), $ahead($plan->move->stop)];
        };
        [$before, $after] = $along('overtake');
        self::assertLessThan(0.0, $before);
        self::assertGreaterThan(0.0, $after);
        [$before, $after] = $along('head-on');
        self::assertGreaterThan(0.0, $before);
        self::assertLessThan(0.0, $after);
    }

    public function test_straight_down_stays_straight_down(): void
    {
        foreach (['top-down-hold', 'top-down-travel', 'top-down-spin', 'top-down-helix', 'top-down-follow', 'top-down-overtake'] as $move) {
            foreach (self::plan($move, [])->move->flight->tilt as $tilt) {
                self::assertEqualsWithDelta(-M_PI_2, $tilt, 1e-9, $move);
            }
        }
    }

    public function test_drills_close_where_they_began(): void
    {
        foreach ([
            'square-fixed-heading', 'square-with-turns', 'circle-fixed-heading', 'figure-of-eight', 'out-and-back', 'nose-in-bay',
            'return-to-centre', 'pure-axis',
        ] as $drill) {
            $flight = self::plan($drill, [], null)->move->flight;
            self::assertEqualsWithDelta(0.0, $flight->position($flight->count() - 1)->minus($flight->position(0))->ground(), 0.05, $drill);
        }
    }

    public function test_a_square_of_one_heading_has_four_equal_sides_and_never_turns(): void
    {
        $flight = self::plan('square-fixed-heading', ['side_m' => 5.0], null)->move->flight;

        self::assertEqualsWithDelta(5.0, Statistics::greatest($flight->east) - Statistics::least($flight->east), 0.01);
        self::assertEqualsWithDelta(5.0, Statistics::greatest($flight->north) - Statistics::least($flight->north), 0.01);
        self::assertEqualsWithDelta(0.0, Statistics::greatest($flight->heading) - Statistics::least($flight->heading), 1e-9);
    }

    public function test_a_square_with_turns_goes_all_the_way_round(): void
    {
        foreach (['clockwise' => 1, 'counterclockwise' => -1] as $direction => $sign) {
            $heading = self::plan('square-with-turns', ['direction' => $direction], null)->move->flight->heading;
            self::assertEqualsWithDelta($sign * 360.0, ($heading[count($heading) - 1] - $heading[0]) / Angle::DEGREE, 0.1);
        }
    }

    public function test_an_eight_turns_once_each_way_and_crosses_on_its_spot(): void
    {
        $plan = self::plan('figure-of-eight', [], null);
        $heading = $plan->move->flight->heading;
        $turned = array_map(static fn (float $h): float => ($h - $heading[0]) / Angle::DEGREE, $heading);

        self::assertGreaterThan(200.0, max(abs(Statistics::greatest($turned)), abs(Statistics::least($turned))));
        self::assertEqualsWithDelta(0.0, $turned[count($turned) - 1], 0.5);
        self::assertNotSame([], array_filter($plan->move->marks, static fn (Mark $mark): bool => $mark->kind === Mark::CROSSING));
    }

    public function test_from_pad_to_pad_the_craft_lifts_crosses_and_lands(): void
    {
        $plan = self::plan('pad-to-pad', ['side_m' => 6.0], null);
        $flight = $plan->move->flight;
        $touchdowns = array_values(array_filter($plan->move->marks, static fn (Mark $mark): bool => $mark->kind === Mark::TOUCHDOWN));

        self::assertNotSame([], $touchdowns);
        self::assertLessThan(0.3, $flight->up[$flight->indexAt($touchdowns[0]->t)] - $plan->move->ground);
        self::assertGreaterThan(1.0, Statistics::greatest($flight->up) - $plan->move->ground);
        self::assertEqualsWithDelta(
            6.0, $flight->position($flight->indexAt($touchdowns[0]->t))->minus($flight->position(0))->ground(), 0.05,
        );
    }

    public function test_a_length_in_seconds_sets_the_pace(): void
    {
        $plan = self::plan('push-in', ['length_m' => 30.0, 'duration_s' => 14.0]);
        self::assertEqualsWithDelta(14.0, $plan->move->stop - $plan->move->onset, 2.8);
        $slow = self::plan('push-in', ['length_m' => 30.0, 'duration_s' => 28.0]);
        self::assertLessThan($plan->move->intent->number('pace_mps'), $slow->move->intent->number('pace_mps'));
    }

    public function test_a_wanted_first_frame_lies_at_the_end_of_the_run_in(): void
    {
        $motion = self::plan('push-in', ['distance_m' => 40.0, 'length_m' => 20.0, 'pace_mps' => 2.0, 'start_at' => 'first motion']);
        $frame = self::plan('push-in', ['distance_m' => 40.0, 'length_m' => 20.0, 'pace_mps' => 2.0, 'start_at' => 'first frame']);
        $distance = static fn (Plan $plan, float $t): float => $plan->move->flight->position($plan->move->flight->indexAt($t))->minus(
            $plan->move->subject?->first() ?? self::fail('It has a subject.'),
        )->ground();

        self::assertEqualsWithDelta(40.0, $distance($motion, $motion->move->onset), 0.05);
        self::assertEqualsWithDelta(40.0, $distance($frame, $frame->move->holdFrom), 0.1);
        self::assertGreaterThan(40.5, $distance($frame, $frame->move->onset));
    }

    public function test_what_would_fly_into_the_ground_cannot_be_flown(): void
    {
        $plan = self::plan('sink', ['climb_m' => -30.0, 'height_m' => 10.0]);
        self::assertFalse($plan->feasible());
        $broken = array_values(array_filter($plan->findings, static fn (Finding $finding): bool => $finding->state === Finding::BROKEN));
        self::assertSame('The way leads 20.0 m into the ground.', said($broken[0]->text));
        // The nearest mend holds.
        self::assertTrue(self::plan('sink', ['climb_m' => -30.0, ...$broken[0]->mend])->feasible());
    }

    /** @return array{float, float} metres ahead of the first heading, and to its right */
    private static function inOwnWay(Flight $flight, Position $way): array
    {
        [$sin, $cos] = [sin($flight->heading[0]), cos($flight->heading[0])];

        return [$way->east * $sin + $way->north * $cos, $way->east * $cos - $way->north * $sin];
    }

    /** @return list<array{t: float, lat: float, lon: float, alt_m: float}> somebody who walks round a bend, faster and slower */
    private static function bend(): array
    {
        $frame = new LocalFrame(new GeoPoint(57.6004, -0.4, 5.0));
        [$east, $north, $course] = [0.0, 0.0, 0.6];
        $track = [];
        for ($k = 0; $k <= 140; $k++) {
            $t = 0.25 * $k;
            $point = $frame->geoPoint(new Position($east, $north, 0.0));
            $track[] = ['t' => $t, 'lat' => $point->latitude, 'lon' => $point->longitude, 'alt_m' => $point->altitude];
            $pace = 1.5 * (1 + 0.15 * sin(0.4 * $t)) * (0.5 - 0.5 * cos(M_PI * max(0.0, min(1.0, ($t - 3) / 4)))) * (0.5 + 0.5 * cos(
                M_PI * max(0.0, min(1.0, ($t - 27) / 4)),
            ));
            $course += 0.015 * $pace * 0.25;
            $east += 0.25 * $pace * sin($course);
            $north += 0.25 * $pace * cos($course);
        }

        return $track;
    }

    /**
     * @param  array<string, float|string>  $parameters
     * @param  ?array<string, mixed>  $subject
     */
    private static function plan(
        string $move, array $parameters, ?array $subject = ['lat' => 57.6004, 'lon' => -0.4, 'alt_m' => 6.0, 'base_alt_m' => 4.0],
    ): Plan {
        return Planner::plan(Shot::read(Fields::of([
            'intent' => [
                'move' => $move, 'camera' => ['hfov_deg' => 70.0], ...$parameters === [] ? [] : ['parameters' => $parameters],
                ...$subject === null ? [] : ['subject' => $subject],
            ],
            'rig' => Rigs::all()['curlew'], 'mode' => 'standard', 'site' => ['home' => ['lat' => 57.6, 'lon' => -0.4, 'alt_m' => 4.0]],
        ])));
    }
}
