<?php

declare(strict_types=1);

namespace Tests\Core\Scoring;

use Larkspur\Choreography\Plan;
use Larkspur\Controls\Finger;
use Larkspur\Controls\StickMode;
use Larkspur\Flight\OperatorHabits;
use Larkspur\Flight\Recorder;
use Larkspur\Flight\SimulatedOperator;
use Larkspur\Flight\Slip;
use Larkspur\Geo\Position;
use Larkspur\Move\Catalogue;
use Larkspur\Scoring\Fault\Fault;
use Larkspur\Scoring\Fault\Origin;
use Larkspur\Scoring\Score;
use Larkspur\Scoring\Scorer;
use Larkspur\Site\Wind;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Displaced;
use Tests\Core\MoveDraw;

use function Tests\said;

/** What made a fault, which thumb mends it, and in which words: over moves, in still air and in wind, in both stick modes. */
final class OriginTest extends TestCase
{
    /**
     * A craft beside a subject that falls behind it, or runs ahead, is mended with the slide (by geometry: the subject stands still in a
     * frame that slides as fast as it goes).
     *
     * @return iterable<string, array{float, string}>
     */
    public static function besides(): iterable
    {
        yield 'fallen behind' => [-9.0, 'off-mark.slide-slow'];
        yield 'run ahead' => [9.0, 'off-mark.slide-fast'];
    }

    #[DataProvider('besides')]
    public function test_beside_a_subject_the_slide_brings_it_back(float $metres, string $wording): void
    {
        $plan = self::plan('side-track');
        $middle = ($plan->move->holdFrom + $plan->move->holdTo) / 2;
        $score = Displaced::scored($plan, Displaced::along(
            $plan, static fn (float $t): float => $metres * Displaced::swell($t, $middle - 5.0, $middle + 5.0),
            static fn (float $t): float => 0.0,
        ));
        $off = self::fault($score, 'off-mark');

        self::assertSame($wording, $off->wording);
        self::assertSame(Finger::Slide, $off->origin?->finger);
        self::assertEqualsWithDelta($middle, $off->worst, 0.8);
        // The thumb that slides is the right one in modes 1 and 2, the left one in 3 and 4 (common practice, no published source).
        self::assertStringContainsString('right thumb', said($off->cure(), StickMode::Mode2));
        self::assertStringContainsString('left thumb', said($off->cure(), StickMode::Mode4));
    }

    public function test_from_straight_above_the_craft_comes_back_and_nothing_turns(): void
    {
        $plan = self::plan('top-down-spin');
        $middle = ($plan->move->onset + $plan->move->stop) / 2;
        $off = self::fault(Displaced::scored($plan, static fn (Position $place, float $t): Position => $place->plus(
            0.35 * $plan->move->viewing * Displaced::swell($t, $middle - 4.0, $middle + 4.0), 0.0, 0.0,
        )), 'off-mark');

        self::assertSame('off-mark.from-above', $off->wording);
        self::assertContains($off->origin?->finger, [Finger::Slide, Finger::Run]);
        self::assertStringContainsString('turning only spins', said($off->cure()));
    }

    /** @return iterable<string, array{string, string}> */
    public static function drifts(): iterable
    {
        yield 'a line' => ['lateral-dolly', 'drift.line'];
        yield 'a figure' => ['square-fixed-heading', 'drift.figure'];
        yield 'a spot' => ['hover', 'drift.spot'];
        yield 'a plumb line' => ['rise', 'drift.spot'];
        yield 'a hold that is left' => ['top-down-hold', 'drift.spot'];
    }

    #[DataProvider('drifts')]
    public function test_drift_is_told_in_the_words_of_its_move(string $move, string $wording): void
    {
        $plan = self::plan($move);
        $from = $plan->move->onset;
        $share = 0.35 * max(8.0, $plan->move->viewing);
        $score = Displaced::scored($plan, $wording === 'drift.spot'
            ? static fn (Position $place, float $t): Position => $place->plus(0.3 * max(0.0, $t - $from), 0.0, 0.0)
            : Displaced::aside(
                $plan, static fn (float $t): float => $share * max(0.0, min(1.0, ($t - $from) / ($plan->move->stop - $from))) ** 2,
            ));
        $drift = self::fault($score, 'drift');

        self::assertSame($wording, $drift->wording);
        self::assertStringNotContainsStringIgnoringCase('circle', said($drift->name()).said($drift->picture).said($drift->cure()));
    }

    public function test_a_hover_that_the_wind_takes_from_idle_fingers_is_the_airs(): void
    {
        $plan = self::plan('hover');
        $flight = SimulatedOperator::fly($plan, new OperatorHabits, new Wind(1.0, 4.0, 5.0), 3, false);
        $log = (new Recorder(10.0))->record($flight, $plan->shot->site->frame(), 3);
        foreach (Finger::cases() as $finger) {
            $log = $log->with(["stick_$finger->value" => array_fill(0, $log->count(), 0.0)]);
        }
        $drift = self::fault(Scorer::scoreBetween($log, $plan->move->intent, $plan->move->onset, $plan->move->stop), 'drift');

        self::assertSame(Origin::OUTSIDE, $drift->origin?->cause);
        self::assertStringContainsString('fingers did not ask for this', said($drift->cure()));
    }

    /** @return iterable<string, array{string}> */
    public static function ways(): iterable
    {
        yield 'round' => ['orbit'];
        yield 'round and up' => ['climbing-orbit'];
        yield 'beside' => ['side-track'];
        yield 'on the spot' => ['top-down-hold'];
    }

    /** Whatever an unpractised hand does to its way in still air, nobody is told that the air did it. */
    #[DataProvider('ways')]
    public function test_in_still_air_no_way_is_the_airs(string $move): void
    {
        $plan = self::plan($move);
        $seen = 0;
        foreach ([OperatorHabits::named('drifter', 5), OperatorHabits::ofLevel(0, 2), OperatorHabits::ofLevel(1, 4)] as $seed => $habits) {
            foreach (self::flown($plan, $habits, Wind::still(), $seed, true)->allFaults as $fault) {
                if (in_array($fault->id, ['drift', 'uneven', 'stall', 'off-mark', 'out-of-step'], true)) {
                    $seen++;
                    self::assertNotSame(Origin::OUTSIDE, $fault->origin?->cause, "$fault->id of $move by $seed");
                }
            }
        }
        self::assertGreaterThan(0, $seen);
    }

    #[DataProvider('ways')]
    public function test_what_a_gusty_wind_does_to_hands_that_keep_to_the_plan_is_not_theirs(string $move): void
    {
        $plan = self::plan($move);
        $seen = 0;
        foreach ([0.4, 2.0, 3.6, 5.2] as $seed => $from) {
            foreach (self::flown($plan, new OperatorHabits, new Wind($from, 5.0, 8.0), $seed, false)->allFaults as $fault) {
                if (in_array($fault->id, ['drift', 'out-of-step'], true)) {
                    $seen++;
                    self::assertSame(Origin::OUTSIDE, $fault->origin?->cause, "$fault->id of $move, $seed");
                }
            }
        }
        self::assertGreaterThan(0, $seen);
    }

    private static function flown(Plan $plan, OperatorHabits $habits, Wind $wind, int $seed, bool $positioning): Score
    {
        $flight = SimulatedOperator::fly($plan, $habits, $wind, $seed, $positioning);

        return Scorer::scoreBetween(
            (new Recorder(10.0))->record($flight, $plan->shot->site->frame(), $seed), $plan->move->intent,
            $plan->move->onset, $plan->move->stop,
        );
    }

    public function test_a_hold_that_is_left_and_come_back_to_is_named_too(): void
    {
        foreach (['top-down-hold', 'locked-off'] as $move) {
            $plan = self::plan($move);
            $middle = ($plan->move->onset + $plan->move->stop) / 2;
            $score = Displaced::scored($plan, static fn (Position $place, float $t): Position => $place->plus(
                0.35 * $plan->move->viewing * Displaced::swell($t, $middle - 4.0, $middle + 4.0), 0.0, 0.0,
            ));

            self::assertSame('drift.spot', self::fault($score, 'drift')->wording, $move);
            self::assertGreaterThan(5.0, $score->cost(self::fault($score, 'drift')));
        }
    }

    /** The move's own cue against its typical faults; where the fault knows more of this take, its own; a flick names its finger. */
    public function test_a_cure_is_in_the_moves_own_words_where_the_fault_has_none_of_its_own(): void
    {
        $plan = self::plan('push-in');
        $hold = $plan->move->holdFrom - $plan->move->onset;
        $long = $plan->move->holdTo - $plan->move->holdFrom;
        $sag = static fn (float $share): Slip => new Slip('sag', Finger::Run, $hold + $share * $long, 0.6, 0.22 * $long);
        $score = self::flown($plan, (new OperatorHabits)->slipping(
            $sag(0.12), $sag(0.4), $sag(0.68), new Slip('spring', Finger::Run, $hold + $long, 0.0, 8.0),
        ), Wind::still(), 3, true);
        $uneven = self::fault($score, 'uneven');
        $stop = self::fault($score, 'flick-stop');

        self::assertContains('uneven', Catalogue::move('push-in')->about()->faults);
        self::assertEquals(Catalogue::move('push-in')->about()->cueAgainst('uneven'), $score->cure($uneven));
        self::assertNotEquals(said($uneven->cure()), said($score->cure($uneven)));
        self::assertEquals($stop->cure(), $score->cure($stop));
    }

    /** What a moving finger did is not the air's, however little of it the fit explains: a wheel that set out the wrong way. */
    public function test_a_jolt_under_a_moving_finger_is_never_the_airs(): void
    {
        $plan = self::plan('tilt');
        $slip = new Slip('wrong-way', Finger::Tilt, 0.4, 0.8, 0.3 * ($plan->move->holdFrom - $plan->move->onset) + 0.6);
        foreach (self::flown($plan, (new OperatorHabits)->slipping($slip), Wind::still(), 3, true)->allFaults as $fault) {
            self::assertNotSame(Origin::OUTSIDE, $fault->origin?->cause, $fault->id);
        }
    }

    /** @return iterable<string, array{string, Finger}> */
    public static function kicks(): iterable
    {
        yield 'orbit, turn' => ['orbit', Finger::Turn];
        yield 'push-in, tilt' => ['push-in', Finger::Tilt];
    }

    #[DataProvider('kicks')]
    public function test_a_kick_is_the_hands_where_the_fingers_show_it_and_unknown_without_them(string $move, Finger $finger): void
    {
        $plan = self::plan($move);
        $at = 0.5 * ($plan->move->holdTo - $plan->move->holdFrom) + $plan->move->holdFrom - $plan->move->onset;
        $habits = (new OperatorHabits)->slipping(new Slip(Slip::KICK, $finger, $at, 0.6, 0.4));
        $log = (new Recorder(25.0))->record(SimulatedOperator::fly($plan, $habits, Wind::still(), 2), $plan->shot->site->frame(), 2);
        $seen = self::fault(Scorer::score($log, $plan->move->intent), 'kick');
        self::assertSame([Origin::HAND, $finger], [$seen->origin?->cause, $seen->origin?->finger]);

        $blind = $log;
        foreach (Finger::cases() as $one) {
            $blind = $blind->with(["stick_$one->value" => array_fill(0, $log->count(), 0.0)]);
        }
        // Empty columns are no fingers at rest: nobody is acquitted by them.
        self::assertSame(Origin::UNKNOWN, self::fault(Scorer::score($blind, $plan->move->intent), 'kick')->origin?->cause);
    }

    private static function plan(string $move): Plan
    {
        foreach (MoveDraw::feasible($move, 3, 4, 0.4) as $plan) {
            return $plan;
        }
        self::fail("No plan of $move is feasible.");
    }

    private static function fault(Score $score, string $id): Fault
    {
        foreach ($score->allFaults as $fault) {
            if ($fault->id === $id) {
                return $fault;
            }
        }
        self::fail("$id is not found; there are: ".implode(', ', array_column($score->allFaults, 'id')));
    }
}
