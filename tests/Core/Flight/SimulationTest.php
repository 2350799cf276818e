<?php

declare(strict_types=1);

namespace Tests\Core\Flight;

use Demo\Rigs;
use Larkspur\Controls\Finger;
use Larkspur\Fields;
use Larkspur\Flight\Aircraft;
use Larkspur\Flight as FlightSeries;
use Larkspur\Flight\FingerInput;
use Larkspur\Flight\OperatorHabits;
use Larkspur\Flight\Pose;
use Larkspur\Flight\Recorder;
use Larkspur\Flight\SimulatedOperator;
use Larkspur\Flight\Slip;
use Larkspur\Measure\Statistics;
use Larkspur\Refusal;
use Larkspur\Rig\Rig;
use Larkspur\Scoring\Scorer;
use Larkspur\Site\Wind;
use PHPUnit\Framework\TestCase;
use Tests\Core\Shots;

final class SimulationTest extends TestCase
{
    public function test_full_stick_reaches_the_top_rate_and_no_more(): void
    {
        $pose = self::push(new FingerInput(climb: 1, turn: 1, run: 0, slide: 0, tilt: -1), 2.5);
        $mode = self::rig()->mode('standard');

        self::assertEqualsWithDelta($mode->climb, $pose->climbRate, 0.01);
        self::assertEqualsWithDelta($mode->turn, $pose->turnRate, 0.01);
        self::assertEqualsWithDelta(-$mode->tilt, $pose->tiltRate, 0.01);
        self::assertEqualsWithDelta($mode->run, hypot(...self::ground(self::push(new FingerInput(run: 1), 9))), 0.02);
        self::assertEqualsWithDelta($mode->sink, -self::push(new FingerInput(climb: -1), 4)->climbRate, 0.01);
    }

    public function test_speed_is_gained_and_lost_no_faster_than_the_mode_allows(): void
    {
        $mode = self::rig()->mode('standard');
        $early = self::push(new FingerInput(run: 1), 0.5);
        self::assertEqualsWithDelta($mode->accelerate * 0.5, $early->northRate, 0.01);

        $aircraft = new Aircraft(self::rig(), $mode, 0.02);
        $pose = new Pose(0, 0, 10, 0, 0, northRate: 9.0);
        for ($i = 0; $i < 50; $i++) {
            $pose = $aircraft->step($pose, new FingerInput);
        }
        self::assertEqualsWithDelta(9.0 - $mode->brake, $pose->northRate, 0.01);
    }

    public function test_left_stick_right_turns_right_and_right_stick_right_slides_right(): void
    {
        $facingEast = new Pose(0, 0, 10, M_PI / 2, 0);
        $pose = self::push(new FingerInput(slide: 1, turn: 0), 3, $facingEast);
        self::assertLessThan(-2.0, $pose->northRate, 'right of east is south');
        self::assertGreaterThan(M_PI / 2, self::push(new FingerInput(turn: 0.5), 1, $facingEast)->heading);
    }

    public function test_the_gimbal_stops_at_its_stops(): void
    {
        $pose = self::push(new FingerInput(tilt: -1), 20);

        self::assertSame(self::rig()->tiltLow, $pose->tilt);
        self::assertSame(0.0, $pose->tiltRate);
    }

    public function test_a_wind_stronger_than_the_craft_takes_it_along(): void
    {
        $aircraft = new Aircraft(self::rig(), self::rig()->mode('slow'), 0.02);
        $pose = new Pose(0, 0, 10, 0, 0);
        for ($i = 0; $i < 500; $i++) {
            $pose = $aircraft->step($pose, new FingerInput(run: 1), 0.0, -20.0);
        }
        self::assertEqualsWithDelta(-20.0 + self::rig()->mode('fast')->run, $pose->northRate, 0.05);
    }

    public function test_gusts_repeat_by_seed_and_have_the_spread_of_their_gusts(): void
    {
        $wind = new Wind(0.0, 5.0, 8.0);
        [$along] = $wind->gusts(10, 0.1, 20000, 3);

        self::assertSame($along, $wind->gusts(10, 0.1, 20000, 3)[0]);
        // A gust is about three standard deviations above the mean (WMO-No. 8, from memory).
        self::assertEqualsWithDelta(1.0, sqrt(Statistics::variance($along)), 0.1);
        self::assertSame(0.0, Statistics::greatest(array_map(abs(...), Wind::still()->gusts(10, 0.1, 50, 3)[0])));
    }

    public function test_the_same_seed_flies_the_same_flight(): void
    {
        $plan = Shots::plan(['radius_m' => 20, 'arc_deg' => 60, 'pace_mps' => 2]);
        $wind = new Wind(1.0, 3.0, 5.0);
        $fly = static fn (int $seed): FlightSeries => SimulatedOperator::fly($plan, OperatorHabits::named('hurried'), $wind, $seed);

        self::assertEquals($fly(4), $fly(4));
        self::assertNotEquals($fly(4)->east, $fly(5)->east);
    }

    public function test_hands_without_habits_in_still_air_fly_the_plan(): void
    {
        $plan = Shots::plan(['radius_m' => 20, 'arc_deg' => 60, 'pace_mps' => 2]);
        $flight = SimulatedOperator::fly($plan, new OperatorHabits, Wind::still(), 1);

        self::assertEqualsWithDelta($plan->move->flight->east, $flight->east, 1e-4);
    }

    public function test_every_fault_acts_on_a_finger_and_none_on_a_position(): void
    {
        $plan = Shots::plan(['radius_m' => 20, 'arc_deg' => 90, 'pace_mps' => 2]);
        foreach (OperatorHabits::NAMES as $name) {
            $flight = SimulatedOperator::fly($plan, OperatorHabits::named($name), new Wind(2.0, 3.0, 4.5), 6);
            self::assertNotNull($flight->fingers);
            // The recorded fingers alone, in still air and with the craft's own response, explain the motion but for the gusts:
            // flown again without wind they end within a few metres; a fault put on a position could not be flown again.
            $aircraft = new Aircraft($plan->shot->rig, $plan->shot->tune(), 0.02);
            $pose = new Pose($flight->east[0], $flight->north[0], $flight->up[0], $flight->heading[0], $flight->tilt[0]);
            foreach ($flight->t as $k => $_) {
                self::assertEqualsWithDelta($flight->heading[$k], $pose->heading, 1e-9, $name);
                self::assertEqualsWithDelta($flight->up[$k], $pose->up, 1e-9, $name);
                $pose = $aircraft->step(
                    $pose, FingerInput::of(array_map(static fn (array $travel): float => $travel[$k], $flight->fingers)),
                );
            }
        }
    }

    public function test_a_fault_put_at_a_chosen_time_is_found_there(): void
    {
        $plan = Shots::plan(['radius_m' => 22, 'arc_deg' => 150, 'pace_mps' => 2.3]);
        $habits = new OperatorHabits(slips: [new Slip('kick', Finger::Turn, 11.0, 0.35, 0.35)]);
        $flight = SimulatedOperator::fly($plan, $habits, Wind::still(), 1);
        $score = Scorer::score((new Recorder)->record($flight, $plan->shot->site->frame()), $plan->move->intent);

        self::assertSame('kick', $score->faults[0]->id);
        self::assertSame('turn', $score->faults[0]->axis);
        self::assertEqualsWithDelta($plan->move->onset + 11.2, $score->faults[0]->t, 0.5);
    }

    public function test_operators_fly_as_they_are_named(): void
    {
        $plan = Shots::plan(['radius_m' => 22, 'arc_deg' => 150, 'pace_mps' => 2.3]);
        $scores = $faults = [];
        foreach (OperatorHabits::NAMES as $name) {
            $sum = 0.0;
            $faults[$name] = [];
            foreach ([1, 2, 3, 4, 5] as $seed) {
                $flight = SimulatedOperator::fly($plan, OperatorHabits::named($name), new Wind(4.0, 2.0, 3.0), $seed);
                $score = Scorer::score(Recorder::fair()->record($flight, $plan->shot->site->frame(), $seed), $plan->move->intent);
                $sum += $score->score / 5;
                array_push($faults[$name], ...array_map(static fn ($fault): string => $fault->id, $score->faults));
            }
            $scores[$name] = $sum;
        }
        self::assertGreaterThan(90.0, $scores['steady']);
        foreach (['hurried', 'flicker', 'drifter'] as $name) {
            self::assertLessThan($scores['steady'] - 10, $scores[$name], $name);
        }
        self::assertContains('flick-start', $faults['hurried']);
        self::assertContains('flick-stop', $faults['flicker']);
        self::assertContains('kick', $faults['flicker']);
        self::assertContains('drift', $faults['drifter']);
        self::assertSame([], array_intersect(['kick', 'flick-start', 'flick-stop', 'stall', 'off-mark'], $faults['steady']));
    }

    public function test_practice_scales_a_fault_away(): void
    {
        $plan = Shots::plan(['radius_m' => 22, 'arc_deg' => 120, 'pace_mps' => 2.3]);
        $score = static fn (float $share): float => Scorer::score((new Recorder)->record(
            SimulatedOperator::fly($plan, OperatorHabits::named('flicker')->scaled($share), Wind::still(), 2), $plan->shot->site->frame(),
        ), $plan->move->intent)->score;

        self::assertGreaterThan($score(1.0) + 10, $score(0.3));
        self::assertGreaterThan(97.0, $score(0.0));
    }

    public function test_a_recorded_log_has_the_noise_that_it_is_given(): void
    {
        $plan = Shots::plan(['radius_m' => 20, 'arc_deg' => 90, 'pace_mps' => 2]);
        $frame = $plan->shot->site->frame();
        $clean = (new Recorder(5.0))->record($plan->move->flight, $frame);
        $noisy = (new Recorder(5.0, white: 0.2))->record($plan->move->flight, $frame, 9);
        $errors = [];
        foreach ($clean->column('lat') as $i => $latitude) {
            $errors[] = $frame->northOf($noisy->column('lat')[$i]) - $frame->northOf($latitude);
        }
        self::assertEqualsWithDelta(0.2, sqrt(Statistics::variance($errors)), 0.03);
        self::assertEqualsWithDelta(5.0, $clean->rate(), 1e-6);
    }

    public function test_an_unknown_operator_is_refused(): void
    {
        $this->expectException(Refusal::class);
        OperatorHabits::named('reckless');
    }

    private static function rig(): Rig
    {
        return Rig::read(Fields::of(Rigs::all()['lapwing']));
    }

    private static function push(FingerInput $fingers, float $seconds, ?Pose $from = null): Pose
    {
        $aircraft = new Aircraft(self::rig(), self::rig()->mode('standard'), 0.02);
        $pose = $from ?? new Pose(0, 0, 10, 0, 0);
        for ($i = 0; $i < round($seconds / 0.02); $i++) {
            $pose = $aircraft->step($pose, $fingers);
        }

        return $pose;
    }

    /** @return array{float, float} */
    private static function ground(Pose $pose): array
    {
        return [$pose->eastRate, $pose->northRate];
    }
}
