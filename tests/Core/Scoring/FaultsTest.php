<?php

declare(strict_types=1);

namespace Tests\Core\Scoring;

use Larkspur\Measure\Quantity;
use Larkspur\Scoring\Fault\Fault;
use Larkspur\Scoring\Fault\FaultKinds;
use Larkspur\Scoring\Fault\Kick;
use Larkspur\Scoring\Scorer;
use Larkspur\Telemetry\FlightLog;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

use function Tests\said;

/** Every fault is put into a clean orbit in closed form, and found there, then, and alone of its kind. */
final class FaultsTest extends TestCase
{
    public function test_a_clean_orbit_has_none(): void
    {
        foreach ([10.0, 25.0, 50.0] as $rate) {
            $score = ClosedForm::score([], $rate);

            self::assertSame([], $score->allFaults, "$rate Hz");
            self::assertGreaterThan(98.5, $score->score);
            self::assertSame(0.0, $score->deduction);
        }
    }

    /** A turn that jumps by some degrees within a third of a second. */
    private static function jump(float $at, float $degrees): callable
    {
        return static function (float $t) use ($at, $degrees): float {
            $x = max(0.0, min(1.0, ($t - $at) / 0.35));

            return $degrees * $x * $x * (3 - 2 * $x);
        };
    }

    #[DataProvider('rates')]
    public function test_a_kick_is_found_at_its_moment(float $rate): void
    {
        $score = ClosedForm::score(['heading' => self::jump(14.0, 4.0)], $rate);
        $kick = ClosedForm::fault($score, 'kick');

        self::assertNotNull($kick);
        self::assertSame('turn', $kick->axis);
        self::assertEqualsWithDelta(14.1, $kick->t, 0.35);
        self::assertSame('hold', $kick->phase);
        self::assertGreaterThan(1.5, $kick->severity);
        self::assertGreaterThan(3.0, $score->deduction);
        self::assertContains('kick', array_map(static fn (Fault $fault): string => $fault->id, $score->faults));
    }

    /** @return iterable<string, array{float}> */
    public static function rates(): iterable
    {
        yield '10 Hz' => [10.0];
        yield '25 Hz' => [25.0];
        yield '50 Hz' => [50.0];
    }

    public function test_a_harder_kick_is_worse_and_costs_more(): void
    {
        $kick = static fn (float $degrees): ?Fault => ClosedForm::fault(
            ClosedForm::score(['heading' => self::jump(14.0, $degrees)]), 'kick',
        );

        self::assertNull($kick(0.8));
        self::assertLessThan($kick(6.0)->severity ?? 0.0, $kick(3.0)->severity ?? INF);
        self::assertLessThan($kick(6.0)?->deduction() ?? 0.0, $kick(3.0)?->deduction() ?? INF);
        self::assertLessThanOrEqual(8.0, $kick(25.0)?->deduction() ?? INF);
    }

    public function test_a_kick_of_the_tilt_is_one_of_the_tilt(): void
    {
        $score = ClosedForm::score(['tilt' => self::jump(12.0, 4.0)]);

        self::assertContains('kick tilt', ClosedForm::faults($score));
        self::assertNotContains('kick turn', ClosedForm::faults($score));
    }

    public function test_the_same_kick_outside_the_hold_costs_less(): void
    {
        $inside = ClosedForm::fault(ClosedForm::score(['heading' => self::jump(14.0, 4.0)]), 'kick');
        $outside = ClosedForm::fault(ClosedForm::score(['heading' => self::jump(ClosedForm::end() + 0.6, 4.0)]), 'kick');

        self::assertNotNull($inside);
        self::assertSame('hold', $inside->phase);
        self::assertNotNull($outside);
        self::assertNotSame('hold', $outside->phase);
        self::assertLessThan($inside->deduction(), $outside->deduction());
    }

    public function test_a_stop_in_a_tenth_of_a_second_is_a_flick(): void
    {
        $score = ClosedForm::score([], 25.0, static fn (float $t): float => ClosedForm::travelled($t, ClosedForm::EASE, 0.1));
        $flick = ClosedForm::fault($score, 'flick-stop');

        self::assertNotNull($flick);
        self::assertEqualsWithDelta(ClosedForm::end() - ClosedForm::EASE / 2, $flick->t, 0.4);
        self::assertNull(ClosedForm::fault($score, 'flick-start'));
        self::assertLessThan(80.0, $score->parts->scores['ease']);
    }

    public function test_a_start_that_positions_leave_in_doubt_costs_points_and_is_not_called_a_flick(): void
    {
        $score = ClosedForm::score([], 25.0, static fn (float $t): float => ClosedForm::travelled($t, 0.3));

        self::assertNull(ClosedForm::fault($score, 'flick-stop'));
        self::assertLessThan(ClosedForm::score([], 25.0)->parts->scores['ease'] - 4.0, $score->parts->scores['ease']);
    }

    public function test_travel_that_nearly_stops_is_a_stall(): void
    {
        // From 12 to 14 s the craft goes at a quarter of its pace.
        $slow = static fn (float $t): float => $t - 0.75 * (max(0.0, min(2.0, $t - 12.0)));
        $score = ClosedForm::score([], 10.0, static fn (float $t): float => ClosedForm::travelled($slow($t)));
        $stall = ClosedForm::fault($score, 'stall');

        self::assertNotNull($stall);
        self::assertEqualsWithDelta(13.0, ($stall->t + $stall->until) / 2, 0.5);
        self::assertLessThan(70.0, $score->parts->scores['steady']);
    }

    public function test_a_slow_swell_of_the_height_is_bobbing_and_a_slower_one_is_not(): void
    {
        $swell = static fn (float $hertz): callable => static fn (float $t): float => 0.3 * sin(2 * M_PI * $hertz * $t);

        self::assertContains('bobbing climb', ClosedForm::faults(ClosedForm::score(['height' => $swell(0.6)])));
        self::assertNotContains('bobbing climb', ClosedForm::faults(ClosedForm::score(['height' => $swell(0.04)])));
    }

    public function test_a_trembling_turn_is_shaky(): void
    {
        $score = ClosedForm::score(['heading' => static fn (float $t): float => 1.4 * sin(2 * M_PI * 0.5 * $t)]);

        self::assertContains('shaky turn', ClosedForm::faults($score));
        self::assertLessThan(40.0, $score->parts->scores['smooth']);
    }

    public function test_a_subject_off_its_mark_is_told_with_its_span(): void
    {
        // Eighteen degrees off for four seconds, taken there and back in three.
        $away = static function (float $t): float {
            $ramp = static fn (float $x): float => ($x = max(0.0, min(1.0, $x))) * $x * (3 - 2 * $x);

            return 18.0 * ($ramp(($t - 9.0) / 3.0) - $ramp(($t - 16.0) / 3.0));
        };
        $score = ClosedForm::score(['heading' => $away]);
        $off = ClosedForm::fault($score, 'off-mark');

        self::assertNotNull($off);
        self::assertEqualsWithDelta(10.5, $off->t, 1.2);
        self::assertEqualsWithDelta(17.5, $off->until, 1.2);
        self::assertLessThan(70.0, $score->parts->scores['framing']);
    }

    /**
     * By geometry alone: the nose turns clockwise, so that a heading ahead of the way leaves the subject on the left.
     *
     * @return iterable<string, array{'heading'|'tilt', float, string, string, string}>
     */
    public static function strays(): iterable
    {
        yield 'turned ahead' => ['heading', 18.0, 'left', 'turn', 'off-mark.turn-fast'];
        yield 'turned behind' => ['heading', -18.0, 'right', 'turn', 'off-mark.turn-slow'];
        yield 'looks too low' => ['tilt', -10.0, 'up', 'tilt', 'off-mark.tilt-up'];
        yield 'looks too high' => ['tilt', 10.0, 'down', 'tilt', 'off-mark.tilt-down'];
    }

    /** @param  'heading'|'tilt'  $what */
    #[DataProvider('strays')]
    public function test_a_subject_off_its_mark_names_the_side_the_finger_and_what_it_did(
        string $what, float $degrees, string $side, string $finger, string $wording,
    ): void {
        // Away from 8 to 16 s and back by 22, at its worst in between.
        $score = ClosedForm::score([
            $what => static fn (float $t): float => $degrees * 0.5 * (1 - cos(2 * M_PI * max(0.0, min(1.0, ($t - 8.0) / 14.0)))),
        ]);
        $off = ClosedForm::fault($score, 'off-mark');

        self::assertNotNull($off);
        self::assertSame([$side, $finger], [$off->origin?->side, $off->origin?->finger?->value]);
        self::assertSame($wording, $off->wording);
        self::assertEqualsWithDelta(15.0, $off->worst, 0.4);
        self::assertLessThan($off->worst - 2.0, $off->t);
    }

    public function test_a_subject_hunted_across_its_mark_is_over_corrected_and_a_slow_wander_is_not(): void
    {
        $swing = static fn (float $period): callable => static fn (float $t): float => $t > 8 && $t < 22
            ? 3.5 * sin(2 * M_PI * ($t - 8) / $period)
            : 0.0;
        $hunted = ClosedForm::fault(ClosedForm::score(['heading' => $swing(2.8)]), 'over-corrected');

        self::assertNotNull($hunted);
        self::assertSame('turn', $hunted->axis);
        // 3.5 degrees of a frame of 70 are a twentieth of it.
        self::assertEqualsWithDelta(0.05, $hunted->size->value, 0.012);
        self::assertGreaterThan(7.0, $hunted->t);
        self::assertLessThan(23.0, $hunted->until);
        self::assertNull(ClosedForm::fault(ClosedForm::score(['heading' => $swing(14.0)]), 'over-corrected'));
    }

    public function test_a_finger_that_sets_out_the_wrong_way_is_told_where_the_picture_hardly_follows(): void
    {
        $log = ClosedForm::log([], 25.0);
        $pressed = static fn (float $from, float $to): FlightLog => new FlightLog([
            ...$log->columns,
            'stick_turn' => array_map(
                static fn (float $t): float => $t >= $from && $t < $to ? -0.2 : ($t > 3.2 && $t < ClosedForm::end() ? 0.4 : 0.0),
                $log->column('t'),
            ),
        ]);
        $wrong = ClosedForm::fault(Scorer::score($pressed(2.4, 3.2), ClosedForm::intent()), 'wrong-way');

        self::assertNotNull($wrong);
        self::assertEqualsWithDelta(0.8, $wrong->size->value, 0.1);
        self::assertSame(0.0, $wrong->deduction());
        self::assertNull(ClosedForm::fault(Scorer::score($pressed(2.9, 3.2), ClosedForm::intent()), 'wrong-way'));
    }

    public function test_a_take_without_a_picture_says_nothing_of_one(): void
    {
        $log = ClosedForm::log(['heading' => self::jump(14.0, 4.0)], 25.0);
        $blind = new FlightLog(
            [...$log->columns, 'gimbal_tilt_deg' => array_fill(0, $log->count(), 0.0)], lacks: ['gimbal_tilt_deg'],
        );
        $kick = ClosedForm::fault(Scorer::score($blind, ClosedForm::intent()), 'kick');

        self::assertNotNull($kick);
        self::assertNull($kick->picture);
        self::assertSame('picture.subject-jumps', ClosedForm::fault(Scorer::score($log, ClosedForm::intent()), 'kick')?->picture?->code);
    }

    public function test_sync_says_the_true_lag_where_it_counts_double(): void
    {
        // The nose turns two seconds before the craft goes: ahead of it, it counts double.
        $early = static fn (float $t): float => rad2deg((ClosedForm::travelled($t + 2.0) - ClosedForm::travelled($t)) / ClosedForm::RADIUS);
        $sync = ClosedForm::score(['heading' => $early])->measured->eases->sync;

        self::assertNotNull($sync);
        self::assertSame('start', $sync->phase);
        self::assertEqualsWithDelta(2.0, $sync->lag, 0.3);
        self::assertEqualsWithDelta(2 * $sync->lag, $sync->seconds, 1e-9);
    }

    public function test_a_pace_that_comes_and_goes_is_uneven(): void
    {
        $score = ClosedForm::score(
            [], 10.0,
            static fn (float $t): float => ClosedForm::travelled($t) + (
                $t > 6 && $t < 26 ? 1.4 * (1 - cos(2 * M_PI * 0.1 * ($t - 6))) : 0.0
            ),
        );

        self::assertContains('uneven travel', ClosedForm::faults($score));
    }

    public function test_a_circle_that_widens_drifts(): void
    {
        $score = ClosedForm::score(['radius' => static fn (float $t): float => 0.2 * max(0.0, $t - 6.0)]);

        self::assertNotNull(ClosedForm::fault($score, 'drift'));
        self::assertLessThan(75.0, $score->parts->scores['path']);
    }

    public function test_half_the_arc_is_stopped_short(): void
    {
        $score = ClosedForm::score([], 10.0, static fn (float $t): float => 0.5 * ClosedForm::travelled($t));

        self::assertNotNull(ClosedForm::fault($score, 'stopped-short'));
        self::assertEqualsWithDelta(0.5, $score->measured->completion, 0.03);
    }

    public function test_a_turn_that_starts_two_seconds_late_is_out_of_step(): void
    {
        $late = static fn (float $t): float => rad2deg((ClosedForm::travelled($t - 2.0) - ClosedForm::travelled($t)) / ClosedForm::RADIUS);
        $score = ClosedForm::score(['heading' => $late]);

        $apart = ClosedForm::fault($score, 'out-of-step');
        self::assertNotNull($apart);
        // The lag that was put in, give or take the lead that is planned; never the double that it is judged by.
        self::assertEqualsWithDelta(2.0, $apart->size->value, 0.4);
        self::assertSame('stop', $apart->phase);
    }

    public function test_every_fault_has_a_name_and_a_cue(): void
    {
        foreach (FaultKinds::ids() as $id) {
            self::assertSame($id, FaultKinds::of($id)->id());
            self::assertNotSame("fault.$id", said(FaultKinds::name($id)));
            self::assertNotSame("fault.$id.try", said(FaultKinds::cue($id)));
        }
        $this->expectException(\LogicException::class);
        FaultKinds::of('unheard-of');
    }

    public function test_severity_has_three_grades(): void
    {
        $grade = static fn (float $severity): string => (new Fault(
            new Kick, 'turn', 1, 1, 'hold', $severity, Quantity::number(1.0),
        ))->grade();

        self::assertSame(['slight', 'slight', 'clear', 'clear', 'ruinous'], array_map($grade, [1.0, 1.49, 1.5, 2.49, 2.5]));
    }
}
