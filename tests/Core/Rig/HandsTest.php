<?php

declare(strict_types=1);

namespace Tests\Core\Rig;

use Larkspur\Choreography\Planner;
use Larkspur\Controls\StickMode;
use Larkspur\Flight\OperatorHabits;
use Larkspur\Flight\Recorder;
use Larkspur\Flight\SimulatedOperator;
use Larkspur\Rig\Grip;
use Larkspur\Rig\Hands;
use Larkspur\Site\Wind;
use Larkspur\Telemetry\Analysis\Tremble;
use PHPUnit\Framework\TestCase;
use Tests\Core\Shots;

/** How finely fingers can be relied on: by grip and stick, and as measured from an operator's own flights. */
final class HandsTest extends TestCase
{
    public function test_a_longer_stick_and_a_firmer_grip_give_a_finer_hand(): void
    {
        $thumbs = new Hands(grip: Grip::Thumbs, stickMm: 20.0);

        self::assertEqualsWithDelta($thumbs->nudge() * 20 / 30, (new Hands(grip: Grip::Thumbs, stickMm: 30.0))->nudge(), 1e-12);
        self::assertLessThan($thumbs->nudge(), (new Hands(grip: Grip::Pinch, stickMm: 20.0))->nudge());
        self::assertGreaterThan($thumbs->nudge(), (new Hands(grip: Grip::OneFinger, stickMm: 20.0))->nudge());
        self::assertEqualsWithDelta(0.01, $thumbs->withTremble(0.005)->nudge(), 1e-12, 'what was measured goes before what is assumed');
    }

    /** A stick that leans 25 degrees to its stop: its tip goes l sin 25, and a degree about the middle is 0.017453 / sin 25 of that. */
    public function test_reach_and_travel_of_a_stick_follow_from_its_length(): void
    {
        $hands = new Hands(stickMm: 24.0);
        self::assertEqualsWithDelta(10.143, $hands->reach(), 0.001);
        self::assertEqualsWithDelta(0.0413, $hands->perDegree(), 0.0001);
        self::assertEqualsWithDelta(1.0, $hands->reach() * $hands->perMillimetre(), 1e-12, 'All of the reach is all of the travel.');
    }

    public function test_the_tremble_of_a_simulated_hand_is_measured_as_it_was_put_in(): void
    {
        $plan = Planner::plan(Shots::orbit());
        $measured = [];
        foreach ([0.004, 0.009, 0.018] as $tremor) {
            $flight = SimulatedOperator::fly($plan, new OperatorHabits(tremor: $tremor, wander: 0.03), Wind::still(), 11);
            $log = (new Recorder(50.0))->record($flight, $plan->shot->site->frame(), 1);
            $measured[] = (float) Tremble::of($log, $plan->move->holdFrom, $plan->move->holdTo);
        }
        // The tremble of the simulated hand lasts about 0.07 s, so half a second's mean keeps most of it.
        foreach ([0.004, 0.009, 0.018] as $i => $tremor) {
            self::assertEqualsWithDelta($tremor, $measured[$i], 0.3 * $tremor);
        }
    }

    public function test_a_log_without_sticks_tells_nothing_about_the_hand(): void
    {
        $plan = Planner::plan(Shots::orbit());
        $log = (new Recorder(10.0))->record(
            new \Larkspur\Flight(
                $plan->move->flight->t, $plan->move->flight->east, $plan->move->flight->north, $plan->move->flight->up,
                $plan->move->flight->heading, $plan->move->flight->tilt,
            ),
            $plan->shot->site->frame(), 1,
        );

        self::assertNull(Tremble::of($log, $plan->move->holdFrom, $plan->move->holdTo));
    }

    public function test_hands_come_back_as_they_were_read(): void
    {
        $hands = new Hands(StickMode::Mode3, false, Grip::OneFinger, 33.5);

        self::assertEquals($hands, Hands::read(\Larkspur\Fields::of($hands->toArray())));
    }
}
