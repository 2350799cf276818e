<?php

declare(strict_types=1);

namespace Tests\Core\Choreography;

use Demo\Rigs;
use Larkspur\Choreography\Plan;
use Larkspur\Choreography\ShotDemands;
use Larkspur\Controls\Finger;
use Larkspur\Rig\Demand;
use Larkspur\Training\Lesson;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What a shot asks of each axis, taken from the planned flight, against the thumb sheet that was written for it. */
final class ShotDemandsTest extends TestCase
{
    /** @return iterable<string, array{string}> */
    public static function moves(): iterable
    {
        foreach ([
            'orbit', 'pull-away', 'slide-with-pan', 'ground-to-horizon', 'lift-and-tilt', 'diagonal-dolly', 'reveal-orbit', 'pan', 'tilt',
            'rise',
        ] as $move) {
            yield $move => [$move];
        }
    }

    #[DataProvider('moves')]
    public function test_the_greatest_rate_asked_is_that_of_the_thumb_sheet(string $move): void
    {
        $plan = self::plan($move);
        $mode = $plan->shot->tune();
        foreach (ShotDemands::of($plan, $move) as $demand) {
            $peak = $plan->sheet->peakAsked($demand->finger);
            [$asked] = $demand->peak($mode->lag($demand->finger), $peak > 0);
            // The sheet inverts the lag step by step, the demand reads v + lag v' at every tenth of a second.
            self::assertEqualsWithDelta(abs($peak), $asked, 0.03 * abs($peak), $demand->finger->value);
        }
    }

    #[DataProvider('moves')]
    public function test_what_is_held_is_what_the_sheet_holds(string $move): void
    {
        $plan = self::plan($move);
        $demands = array_column(
            array_map(static fn (Demand $demand): array => [$demand->finger->value, $demand->hold], ShotDemands::of($plan, $move)), 1, 0,
        );
        foreach ($plan->parts as $press) {
            $held = $demands[$press->finger->value] ?? 0.0;
            if ($press->rests() || $press->isTouch()) {
                self::assertSame(0.0, $held, $press->finger->value);
            } else {
                self::assertEqualsWithDelta(
                    $press->hold, $plan->shot->tune()->travelFor($press->finger, $held), 1e-6, $press->finger->value,
                );
            }
        }
    }

    public function test_a_longer_answer_needs_more_of_the_finger_while_the_rate_grows(): void
    {
        $turn = self::of('slide-with-pan', Finger::Turn);
        $positive = $turn->hold > 0;

        self::assertGreaterThan($turn->peak(0.0, $positive)[0], $turn->peak(0.6, $positive)[0]);
        self::assertEqualsWithDelta(abs($turn->hold), $turn->peak(0.0, $positive)[0], 0.25 * abs($turn->hold));
        self::assertLessThan(abs($turn->hold), $turn->peak(0.3, ! $positive)[0], 'the other way is asked at most to stop it');
    }

    public function test_what_only_touches_beside_another_axis_is_left_out_and_a_slow_wheel_is_not(): void
    {
        $fingers = static fn (string $move): array => array_map(
            static fn (Demand $demand): string => $demand->finger->value, ShotDemands::of(self::plan($move), $move),
        );

        self::assertNotContains('run', $fingers('orbit'), 'the touch of run that holds the circle');
        self::assertContains('tilt', $fingers('pull-away'));
        self::assertSame(['climb'], $fingers('rise'));
        self::assertSame([], $fingers('locked-off'));
    }

    public function test_a_nearer_subject_makes_the_same_rate_show_more(): void
    {
        $near = self::of('orbit', Finger::Slide);
        $wide = self::of('orbit', Finger::Turn);
        $lens = self::plan('orbit')->shot->intent->lens;

        // One radian a second of turn is one field of view in as many seconds as it has radians.
        self::assertEqualsWithDelta(1 / $lens->horizontal, $wide->widths, 1e-12);
        self::assertGreaterThan(0.0, $near->widths);
        self::assertLessThan(1.0, $near->widths);
    }

    private static function of(string $move, Finger $finger): Demand
    {
        foreach (ShotDemands::of(self::plan($move), $move) as $demand) {
            if ($demand->finger === $finger) {
                return $demand;
            }
        }
        self::fail("$move asks nothing of $finger->value.");
    }

    private static function plan(string $move): Plan
    {
        /** @var array<string, Plan> $plans */
        static $plans = [];
        $rig = Rigs::all()['lapwing'];

        return $plans[$move] ??= Lesson::planned($move, $rig, 'standard', $rig['camera']);
    }
}
