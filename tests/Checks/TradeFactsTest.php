<?php

declare(strict_types=1);

namespace Tests\Checks;

use Demo\Rigs;
use Larkspur\Camera\Composition;
use Larkspur\Camera\Lens;
use Larkspur\Choreography\Plan;
use Larkspur\Choreography\Planner;
use Larkspur\Choreography\Shot;
use Larkspur\Controls\Finger;
use Larkspur\Controls\StickMode;
use Larkspur\Fields;
use Larkspur\Flight;
use Larkspur\Geo\MovingPoint;
use Larkspur\Measure\Angle;
use Larkspur\Measure\Statistics;
use Larkspur\Rig\HalfStickCurve;
use PHPUnit\Framework\TestCase;

use function Tests\said;

/**
 * Facts that the trade goes by, met by planned flights: each is common practice (no published source) where it is a habit,
 * and derived where it is arithmetic; the arithmetic is written beside it.
 */
final class TradeFactsTest extends TestCase
{
    public function test_a_fly_over_tilts_ever_faster(): void
    {
        // Derived: rate = v h / (d^2 + h^2). From 40 m up at 5 m/s: 0.28 deg/s at 200 m, 0.99 at 100, 3.58 at 40, 5.73 at 20, 7.16
        // overhead.
        $plan = self::plan(
            'fly-over', ['length_m' => 245.0, 'pace_mps' => 5.0, 'distance_m' => 250.0, 'height_m' => 42.4, 'start_bearing_deg' => 0.0],
        );
        $flight = $plan->move->flight;
        $subject = $plan->move->subject ?? self::fail('It has a subject.');
        foreach ([[200, 0.28], [100, 0.99], [40, 3.58], [20, 5.73]] as [$distance, $rate]) {
            $i = self::when($flight, static fn (int $i): bool => $flight->position($i)->minus($subject->first())->ground() <= $distance);
            self::assertEqualsWithDelta(
                -$rate, ($flight->tilt[$i + 5] - $flight->tilt[$i - 5]) / 0.2 / Angle::DEGREE, 0.04, "at $distance m",
            );
        }
    }

    public function test_a_pull_away_sees_its_subject_sink_toward_a_limit(): void
    {
        // Derived: from 4 m away, back 3 m/s and up 1.5 m/s the line to the subject falls by atan(1.5 t / (4 + 3 t)): 12.1 degrees
        // after one second, 21.5 after five, 23.8 after ten, never beyond 26.6.
        $plan = self::plan(
            'pull-away',
            [
                'length_m' => 45.0, 'climb_m' => 22.5, 'pace_mps' => hypot(3.0, 1.5), 'distance_m' => 4.0, 'height_m' => 2.4,
                'start_bearing_deg' => 0.0, 'ease_s' => 1.0,
            ],
        );
        $flight = $plan->move->flight;
        $first = $flight->tilt[0];
        $away = $flight->position(0);
        foreach ([[1, 12.1], [5, 21.5], [10, 23.8]] as [$seconds, $fall]) {
            $i = self::when($flight, static fn (int $i): bool => $flight->position($i)->minus($away)->ground() >= 3.0 * $seconds);
            self::assertEqualsWithDelta($fall, ($first - $flight->tilt[$i]) / Angle::DEGREE, 0.25, "$seconds s");
        }
        self::assertLessThan(26.6, ($first - Statistics::least($flight->tilt)) / Angle::DEGREE);
    }

    public function test_a_tilt_up_ends_with_the_horizon_on_the_upper_third(): void
    {
        // Derived: atan(tan(VFOV / 2) / 3) below level: 40 -> 6.9, 45 -> 7.9, 50 -> 8.8, 55 -> 9.8 degrees. Level puts it in the middle.
        foreach ([40 => 6.9, 45 => 7.9, 50 => 8.8, 55 => 9.8] as $field => $below) {
            $lens = new Lens(2 * atan(16 / 9 * tan($field / 2 * Angle::DEGREE)));
            self::assertEqualsWithDelta($field, $lens->vertical() / Angle::DEGREE, 1e-6);
            self::assertEqualsWithDelta(-$below, Composition::withHorizon($lens, 3.0, 0.3, 0.0, 1 / 6)->tilt / Angle::DEGREE, 0.05);
            self::assertEqualsWithDelta(0.0, Composition::withHorizon($lens, 3.0, 0.3, 0.0, 0.0)->tilt, 1e-12);
        }
    }

    public function test_from_straight_down_to_the_horizon_takes_its_time(): void
    {
        // Derived: 82.1 degrees take 8.2 s at 10 deg/s, 20.5 s at 4 and 5.1 s at 16, before the eases.
        foreach ([[10, 8.2], [4, 20.5], [16, 5.1]] as [$rate, $seconds]) {
            self::assertEqualsWithDelta($seconds, (90 - 7.9) / $rate, 0.05);
        }
        // A planned one of 20.5 s in motion has a mean rate of 4 deg/s, whatever its eases.
        $plan = self::plan(
            'ground-to-horizon',
            ['tilt_start_deg' => -90.0, 'tilt_end_deg' => -7.9, 'pace_mps' => 2.0, 'length_m' => 60.0, 'heading_deg' => 0.0],
        );
        self::assertEqualsWithDelta(
            82.1, ($plan->move->flight->tilt[$plan->move->flight->count() - 1] - $plan->move->flight->tilt[0]) / Angle::DEGREE, 0.01,
        );
    }

    public function test_ahead_and_turning_is_a_circle_of_speed_over_turn_rate(): void
    {
        // Derived: radius = speed / turn rate; 3 m/s with 6 deg/s is 28.6 m.
        $plan = self::plan(
            'coordinated-circle',
            [
                'radius_m' => 28.6, 'radius_end_m' => 28.6, 'pace_mps' => 3.0, 'height_m' => 3.0, 'heading_deg' => 0.0,
                'direction' => 'clockwise',
            ],
            false,
        );
        $flight = $plan->move->flight;
        $i = intdiv($flight->count(), 2);
        self::assertEqualsWithDelta(6.0, ($flight->heading[$i + 5] - $flight->heading[$i - 5]) / 0.2 / Angle::DEGREE, 0.03);
        // Along the nose: the way over the ground is the way the lens looks.
        $way = atan2($flight->east[$i + 1] - $flight->east[$i - 1], $flight->north[$i + 1] - $flight->north[$i - 1]);
        self::assertEqualsWithDelta(0.0, Angle::wrap($way - $flight->heading[$i]), 0.01);
    }

    public function test_a_side_track_that_slips_is_soon_off_its_mark(): void
    {
        // Derived: 0.5 m/s of slip at 15 m turns the line to the subject at first by 1.9 deg/s.
        $track = MovingPoint::still(new \Larkspur\Geo\Position(0, 15, 0))->first();
        $turned = atan2($track->east + 0.5, $track->north);
        self::assertEqualsWithDelta(1.9, $turned / Angle::DEGREE, 0.02);
        // After six seconds it stands atan(3 / 15) off, which at 70 degrees across is 14 % of the frame's width.
        $seen = (new \Larkspur\Camera\View(
            new \Larkspur\Geo\Position(0, 0, 0), 0.0, 0.0, new Lens(70 * Angle::DEGREE),
        ))->project(new \Larkspur\Geo\Position(3, 15, 0));
        self::assertEqualsWithDelta(0.14, $seen->u ?? 0.0, 0.005);
        // The planned one does not slip at all.
        $plan = self::plan(
            'side-track', ['subject_mps' => 2.0, 'subject_course_deg' => 90.0, 'length_m' => 40.0, 'distance_m' => 15.0, 'height_m' => 3.0],
        );
        $flight = $plan->move->flight;
        $subject = $plan->move->subject ?? self::fail('It has a subject.');
        $distances = array_map(
            static fn (int $i): float => $flight->position($i)->minus($subject->at($flight->t[$i]))->ground(),
            range(0, $flight->count() - 1, 25),
        );
        self::assertLessThan(0.02 * 15, max($distances) - min($distances));
    }

    public function test_straight_down_from_thirty_metres_shows_forty_two(): void
    {
        // Derived: 2 h tan(HFOV / 2) = 42.0 m at 70 degrees; passing something by 2 m/s then takes 21 s from edge to edge, and
        // meeting at 8 m/s 5.3 s.
        $down = new \Larkspur\Camera\View(new \Larkspur\Geo\Position(0, 0, 30), 0.0, -M_PI_2 + 1e-9, new Lens(70 * Angle::DEGREE));
        $edge = $down->project(new \Larkspur\Geo\Position(21.0, 0, 0));
        self::assertEqualsWithDelta(0.5, $edge->u ?? 0.0, 0.001);
        self::assertEqualsWithDelta(21.0, 42.0 / 2, 0.01);
        self::assertEqualsWithDelta(5.3, 42.0 / 8, 0.06);
    }

    public function test_from_a_drop_the_subject_would_leave_the_top(): void
    {
        // Derived: 30 m away and tilted 30 degrees down the upper edge (VFOV 45) looks 7.5 degrees down, so the subject leaves it
        // when the lens is 30 tan 7.5 = 3.95 m above it; it is in the middle at 30 tan 30 = 17.3 m.
        $lens = new Lens(2 * atan(16 / 9 * tan(22.5 * Angle::DEGREE)));
        foreach ([[17.32, 0.0], [3.95, 0.5]] as [$height, $place]) {
            $seen = (new \Larkspur\Camera\View(
                new \Larkspur\Geo\Position(0, 0, $height), 0.0, -30 * Angle::DEGREE, $lens,
            ))->project(new \Larkspur\Geo\Position(0, 30, 0));
            self::assertEqualsWithDelta($place, $seen->v ?? -1.0, 0.001);
        }
        // Tilting up meanwhile keeps it in its place all the way down.
        $plan = self::plan('drop-and-tilt', ['climb_m' => -13.0, 'distance_m' => 30.0, 'height_m' => 17.0, 'start_bearing_deg' => 0.0]);
        $subject = $plan->move->subject ?? self::fail('It has a subject.');
        foreach (range(0, $plan->move->flight->count() - 1, 50) as $i) {
            self::assertEqualsWithDelta(0.0, $plan->view($i)->project($subject->first())->v ?? 1.0, 0.04);
        }
    }

    public function test_a_stick_at_eleven_is_mostly_ahead_and_half_to_the_left(): void
    {
        // Derived: 30 degrees an hour; eleven is cos 30 = 0.866 ahead and sin 30 = 0.500 left, and a corner is both alike.
        self::assertEqualsWithDelta(0.866, cos(30 * Angle::DEGREE), 5e-4);
        $plan = self::plan('diagonal-dolly', []);
        $peaks = [];
        foreach ($plan->parts as $press) {
            $peaks[$press->finger->value] = $press->hold;
        }
        self::assertEqualsWithDelta(abs($peaks['run'] ?? 0.0), abs($peaks['slide'] ?? 1.0), 0.02);
        // Both are played by one thumb, in the usual modes (common practice).
        self::assertStringStartsWith('Right thumb', said(StickMode::from(2)->thumb(Finger::Run)));
        self::assertStringStartsWith('Right thumb', said(StickMode::from(2)->thumb(Finger::Slide)));
    }

    public function test_curves_by_their_half_stick_number(): void
    {
        // Common practice: 0.35 is usual and leaves 0.12 at a quarter; 0.5 is straight; at 0.8 a touch gives half.
        self::assertEqualsWithDelta(0.12, (new HalfStickCurve(0.35))->output(0.25), 0.01);
        self::assertEqualsWithDelta(0.35, (new HalfStickCurve(0.35))->output(0.5), 1e-9);
        self::assertEqualsWithDelta(0.25, (new HalfStickCurve(0.5))->output(0.25), 1e-9);
        self::assertEqualsWithDelta(0.48, (new HalfStickCurve(0.8))->output(0.1), 0.01);
    }

    public function test_near_ground_flies_past_sixty_times_as_fast(): void
    {
        // Derived: 10 km/h is 2.78 m/s; straight below, v / h turns past at 79.6 deg/s from 2 m and at 1.3 from 120 m.
        self::assertEqualsWithDelta(79.6, 10 / 3.6 / 2 / Angle::DEGREE, 0.05);
        self::assertEqualsWithDelta(1.3, 10 / 3.6 / 120 / Angle::DEGREE, 0.05);
        $low = self::plan('low-over-water', ['height_m' => 2.0, 'pace_mps' => 2.78, 'length_m' => 40.0]);
        $flight = $low->move->flight;
        $i = intdiv($flight->count(), 2);
        self::assertEqualsWithDelta(
            79.6,
            hypot(
                $flight->east[$i + 5] - $flight->east[$i - 5], $flight->north[$i + 5] - $flight->north[$i - 5],
            ) / 0.2 / ($flight->up[$i] - $low->move->ground) / Angle::DEGREE,
            1.0,
        );
    }

    public function test_ranks_agree_or_not_by_spearman(): void
    {
        // C. Spearman, Am. J. Psychol. 15 (1904): 1 - 6 sum d^2 / (n (n^2 - 1)) without ties. Worked by hand: d = 1,1,1,1,0 gives 0.8.
        self::assertEqualsWithDelta(0.8, Statistics::rankCorrelation([1, 2, 3, 4, 5], [20, 10, 40, 30, 50]), 1e-12);
        self::assertEqualsWithDelta(1.0, Statistics::rankCorrelation([1, 2, 3], [0.1, 7.0, 1e9]), 1e-12);
        self::assertEqualsWithDelta(-1.0, Statistics::rankCorrelation([1, 2, 3], [3, 2, 1]), 1e-12);
        // With ties the mean ranks are correlated: ranks 1.5, 1.5, 3, 4 against 1, 2, 3, 4 give 4.5 / sqrt(4.5 x 5) = 0.9487.
        self::assertEqualsWithDelta(0.948683, Statistics::rankCorrelation([5, 5, 6, 7], [1, 2, 3, 4]), 1e-6);
    }

    /** @param  callable(int): bool  $reached */
    private static function when(Flight $flight, callable $reached): int
    {
        for ($i = 0; $i < $flight->count(); $i++) {
            if ($reached($i)) {
                return $i;
            }
        }
        self::fail('It never came to that.');
    }

    /** @param  array<string, float|string>  $parameters */
    private static function plan(string $move, array $parameters, bool $subject = true): Plan
    {
        return Planner::plan(Shot::read(Fields::of([
            'intent' => [
                'move' => $move, 'camera' => ['hfov_deg' => 71.6], ...$parameters === [] ? [] : ['parameters' => $parameters],
                ...$subject ? ['subject' => ['lat' => 57.6004, 'lon' => -0.4, 'alt_m' => 6.4, 'base_alt_m' => 4.0]] : [],
            ],
            'rig' => Rigs::all()['curlew'], 'mode' => 'standard', 'site' => ['home' => ['lat' => 57.6, 'lon' => -0.4, 'alt_m' => 4.0]],
        ])));
    }
}
