<?php

declare(strict_types=1);

namespace Tests\Core\Practice;

use Demo\Rigs;
use Documents\Practice\WorldCraft;
use Documents\Practice\WorldDocument;
use Documents\Rig\RigCamera;
use Larkspur\Choreography\Shot;
use Larkspur\Fields;
use Larkspur\Flight\Air;
use Larkspur\Flight\CraftModel;
use Larkspur\Flight\Draught;
use Larkspur\Flight\FingerInput;
use Larkspur\Practice\Conditions;
use Larkspur\Practice\Ending;
use Larkspur\Practice\Exercise;
use Larkspur\Practice\PracticeFlight;
use Larkspur\Refusal;
use Larkspur\Rig\Ducted;
use Larkspur\Site\Wind;
use PHPUnit\Framework\TestCase;
use Tests\Core\Shots;

/** A craft in its world: what it runs into, what carries it, what the air does to it. */
final class PracticeFlightTest extends TestCase
{
    public function test_a_wall_ends_the_flight_and_says_how_fast_it_was_met(): void
    {
        $flight = new PracticeFlight(self::exercise(wall: 30.0)->world());

        self::fly($flight, new FingerInput(run: 0.5), 20.0);

        $ending = $flight->ending();
        self::assertNotNull($ending);
        self::assertSame(Ending::TOUCHED, $ending->reason);
        self::assertSame('the wall', $ending->what);
        self::assertGreaterThan(1.0, $ending->speed);
        // Half its width before the wall, and not a step beyond it.
        self::assertEqualsWithDelta(30.0 - 0.5 - self::rig()['width_m'] / 2, $flight->pose()->north, 0.2);
    }

    public function test_a_gentle_landing_stands_and_a_hard_one_ends(): void
    {
        $gentle = new PracticeFlight(self::exercise()->world());
        self::fly($gentle, new FingerInput(climb: -0.3), 40.0);
        self::assertNull($gentle->ending());
        self::assertSame(0.0, $gentle->pose()->up);
        self::assertSame(0.0, $gentle->pose()->climbRate);

        $hard = new PracticeFlight(self::exercise()->world());
        self::fly($hard, new FingerInput(climb: -1.0), 20.0);
        self::assertSame(Ending::GROUND, $hard->ending()?->reason);
    }

    public function test_a_call_that_nobody_is_told_comes_at_a_second_that_the_seed_has(): void
    {
        $called = [];
        foreach (range(1, 40) as $seed) {
            $drawn = (new Conditions(calls: true))->drawn($seed);
            self::assertSame($drawn->call, $drawn->drawn($seed + 1)->call, 'Once drawn it stays.');
            $called[] = (float) $drawn->call;
        }
        self::assertGreaterThanOrEqual(10.0, min($called));
        self::assertLessThan(24.0, max($called));
        self::assertGreaterThan(8, count(array_unique($called)));
        self::assertNull((new Conditions)->drawn(3)->call);
        self::assertSame(5.0, (new Conditions(call: 5.0, calls: true))->drawn(3)->call);
    }

    public function test_without_positioning_a_centred_stick_stops_nothing_and_the_wind_takes_it_along(): void
    {
        $holds = new PracticeFlight(self::exercise(wind: 4.0)->world());
        $drifts = new PracticeFlight(self::exercise(wind: 4.0, model: CraftModel::Free)->world());
        self::fly($holds, new FingerInput, 20.0);
        self::fly($drifts, new FingerInput, 20.0);

        self::assertLessThan(2.0, abs($holds->pose()->north));
        // From the north at 4 m/s, and after twenty seconds nearly as fast as the air (drag's time constant is 2.2 s).
        self::assertLessThan(-50.0, $drifts->pose()->north);
    }

    public function test_a_ducted_craft_hovers_at_half_its_throttle_and_keeps_a_pace_by_its_lean(): void
    {
        $exercise = self::exercise(rig: 'wren', model: CraftModel::Levelling);
        $hover = new PracticeFlight($exercise->world());
        self::fly($hover, new FingerInput, 20.0);
        self::assertEqualsWithDelta($exercise->start()->up, $hover->pose()->up, 0.05);

        // Steady speed: drag v / coast balances g tan(lean) (elementary mechanics); leaning costs height, as it does.
        $ahead = new PracticeFlight($exercise->world());
        for ($k = 0; $k < 500 && $ahead->ending() === null; $k++) {
            $lean = $ahead->pose()->leanAhead;
            $ahead->step(new FingerInput(climb: 0.5 * (1 / cos($lean) - 1) + 0.02 * (20 - $ahead->pose()->up), run: 0.3));
        }
        $ducted = Ducted::read(Fields::of(Rigs::all()['wren'])->group('ducted'));
        $thrust = $ahead->pose()->thrust;
        self::assertEqualsWithDelta(
            Ducted::GRAVITY * $thrust * sin($ahead->pose()->leanAhead) * $ducted->coast, $ahead->pose()->speed(), 0.25,
        );
        self::assertEqualsWithDelta($ducted->camera - $ahead->pose()->leanAhead, $ahead->pose()->tilt, 1e-9);
    }

    public function test_the_lean_of_a_craft_that_holds_itself_up_follows_its_motion(): void
    {
        $flight = new PracticeFlight(self::exercise()->world());
        self::fly($flight, new FingerInput(run: 1.0), 12.0);
        $steady = $flight->pose();

        // At a steady pace only the drag leans it: tan(lean) = v / (g coast) (elementary mechanics).
        self::assertEqualsWithDelta(atan($steady->speed() / (Ducted::GRAVITY * 2.2)), $steady->leanAhead, 0.01);
        self::assertEqualsWithDelta(0.0, $steady->leanRight, 0.01);
    }

    public function test_a_gimbal_that_stops_at_level_is_pulled_down_by_a_steep_lean(): void
    {
        $free = self::exercise(mode: 'fast')->world();
        $low = self::exercise(mode: 'fast', more: ['gimbal_high_deg' => -25])->world();
        $flight = new PracticeFlight($low);
        self::fly($flight, new FingerInput(run: 1.0, tilt: 1.0), 12.0);

        self::assertLessThan($flight->pose()->tilt, PracticeFlight::lensTilt($flight->pose(), $low));
        self::assertSame($flight->pose()->tilt, PracticeFlight::lensTilt($flight->pose(), $free));
    }

    public function test_the_picture_leans_with_a_craft_whose_gimbal_is_let_and_as_it_hangs(): void
    {
        $craft = static function (array $more): WorldCraft {
            $document = Shots::document([], [
                'intent' => ['move' => 'hover', 'camera' => ['hfov_deg' => 71.6]], 'rig' => [...Rigs::all()['lapwing'], ...$more],
                'mode' => 'standard',
            ]);
            $conditions = Conditions::read(Fields::of(['model' => CraftModel::Positioning->value]));
            $exercise = Exercise::of('plan', 'test', Shot::read(Fields::of($document)), $conditions, 5);

            return WorldDocument::of($exercise->world(), new RigCamera(71.6, 1.78, null))->craft;
        };
        self::assertTrue($craft(['gimbal' => ['free' => true]])->pictureRolls);
        self::assertFalse($craft([])->pictureRolls);
        self::assertEqualsWithDelta(1.5, $craft(['gimbal' => ['level_offset_deg' => 1.5]])->levelOffsetDeg, 1e-9);
    }

    public function test_the_air_is_continuous_where_it_turns_back_and_a_draught_blows_in_one_place(): void
    {
        $air = Air::of(new Wind(0.3, 5.0, 9.0), 10.0, 3);
        $before = $air->at(0, 0.0, 0.0);
        $largest = 0.0;
        for ($k = 1; $k < 15000; $k++) {
            $now = $air->at($k, 0.0, 0.0);
            $largest = max($largest, hypot($now[0] - $before[0], $now[1] - $before[1]));
            $before = $now;
        }
        self::assertLessThan(0.5, $largest);

        $room = Air::of(Wind::still(), 1.5, 3, new Draught(2.0, 3.0, 1.5, 0.8, 0.0));
        self::assertSame([0.8, 0.0], $room->at(9, 2.0, 3.0));
        self::assertSame([0.0, 0.0], $room->at(9, 4.0, 3.0));
        self::assertEqualsWithDelta(0.4, $room->at(9, 2.75, 3.0)[0], 1e-12);
    }

    public function test_a_battery_ends_and_a_start_inside_something_is_refused(): void
    {
        $flight = new PracticeFlight(self::exercise(more: ['battery_min' => 0.2])->world());
        self::fly($flight, new FingerInput, 15.0);
        self::assertSame(Ending::BATTERY, $flight->ending()?->reason);
        self::assertSame(600, $flight->ending()->step);

        $this->expectException(Refusal::class);
        self::exercise(wall: 0.0)->world();
    }

    public function test_a_loop_begins_under_way_as_the_plan_is_there(): void
    {
        $whole = self::exercise(move: 'push-in');
        $loop = self::exercise(move: 'push-in', more: ['loop' => ['from_s' => 6.0, 'to_s' => 9.0]]);
        $start = $loop->start();
        $planned = $whole->plan->move->flight;
        $at = $planned->indexAt(4.0);

        self::assertEqualsWithDelta($planned->north[$at], $start->north, 1e-9);
        self::assertGreaterThan(0.1, $start->speed());
        self::assertEqualsWithDelta(4.0, $loop->startsAt(), 1e-9);
    }

    public function test_the_pilot_stands_at_take_off_behind_a_drill_or_where_somebody_says(): void
    {
        $drill = self::exercise();
        self::assertEqualsWithDelta(-5.0, $drill->pilot()->north, 1e-9);
        // Nose-in the same drill is looked at from before it.
        self::assertEqualsWithDelta(-5.0, self::exercise(more: ['nose_in' => true])->pilot()->north, 1e-6);
        self::assertEqualsWithDelta(M_PI, self::exercise(more: ['nose_in' => true])->start()->heading, 1e-6);
        $said = self::exercise(more: ['pilot' => ['east_m' => 12.0, 'north_m' => -3.0]])->pilot();
        self::assertSame([12.0, -3.0], [$said->east, $said->north]);
    }

    public function test_a_heavy_craft_answers_later_and_reaches_the_same_rate(): void
    {
        $light = new PracticeFlight(self::exercise()->world());
        $heavy = new PracticeFlight(self::exercise(more: ['heavy' => true])->world());
        foreach ([$light, $heavy] as $flight) {
            self::fly($flight, new FingerInput(run: 0.6), 1.0);
        }
        self::assertLessThan(0.8 * $light->pose()->speed(), $heavy->pose()->speed());
        foreach ([$light, $heavy] as $flight) {
            self::fly($flight, new FingerInput(run: 0.6), 12.0);
        }
        self::assertEqualsWithDelta($light->pose()->speed(), $heavy->pose()->speed(), 0.01);
    }

    /** @param  array<string, mixed>  $more */
    private static function exercise(
        float $wind = 0.0, ?float $wall = null, string $rig = 'lapwing', CraftModel $model = CraftModel::Positioning,
        string $mode = 'standard',
        string $move = 'hover', array $more = [],
    ): Exercise {
        $document = Shots::document([], [
            'intent' => ['move' => $move, 'camera' => ['hfov_deg' => 71.6], 'parameters' => ['height_m' => 20.0, 'heading_deg' => 0.0]],
            'rig' => Rigs::all()[$rig], 'mode' => $mode, 'wind' => ['from_deg' => 0.0, 'mean_mps' => $wind, 'gust_mps' => $wind],
        ]);
        if ($wall !== null) {
            $document['site']['solids'] = [[
                'id' => 'wall', 'name' => 'the wall', 'shape' => 'box', 'east_m' => 0, 'north_m' => $wall, 'width_m' => 60, 'length_m' => 1,
                'height_m' => 40,
            ]];
        }

        return Exercise::of(
            'plan', 'test', Shot::read(Fields::of($document)), Conditions::read(Fields::of(['model' => $model->value, ...$more])), 5,
        );
    }

    /** @return array<string, mixed> */
    private static function rig(): array
    {
        return Rigs::all()['lapwing'];
    }

    private static function fly(PracticeFlight $flight, FingerInput $fingers, float $seconds): void
    {
        for ($k = 0; $k < 50 * $seconds && $flight->ending() === null; $k++) {
            $flight->step($fingers);
        }
    }
}
