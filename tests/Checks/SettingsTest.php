<?php

declare(strict_types=1);

namespace Tests\Checks;

use Demo\Rigs;
use Larkspur\Controls\Finger;
use Larkspur\Controls\Response;
use Larkspur\Fields;
use Larkspur\Measure\LeastSquares;
use Larkspur\Measure\SeededNoise;
use Larkspur\Rig\Conversion;
use Larkspur\Rig\Craft;
use Larkspur\Rig\CubicExpoCurve;
use Larkspur\Rig\CurveKinds;
use Larkspur\Rig\Demand;
use Larkspur\Rig\HalfStickCurve;
use Larkspur\Rig\PointsCurve;
use Larkspur\Rig\RateCurve;
use Larkspur\Rig\SettingsWarning;
use PHPUnit\Framework\TestCase;

/**
 * Settings against values from outside: curves and profiles worked out independently in two ways each, facts of the trade
 * (common practice, no published source), and what follows from geometry to the last digit shown.
 */
final class SettingsTest extends TestCase
{
    public function test_stopping_at_a_constant_braking(): void
    {
        // v / a and v^2 / 2a (elementary mechanics); rows with a reaction time hold their braking part too.
        foreach (Reference::table('stopping') as $row) {
            [$v, $a, , $seconds, $metres] = array_map(Reference::number(...), $row);
            $response = new Response($v, INF, $a, 0.0);
            self::assertEqualsWithDelta($metres, $response->stopWay(), 1e-4);
            self::assertEqualsWithDelta($seconds * (1 - Response::ARRIVED), $response->stopSeconds(), 1e-4);
        }
    }

    public function test_first_order_lag_in_closed_form(): void
    {
        // 1 - exp(-t / tau) (K. Ogata, Modern Control Engineering); rise from 10 to 90 % in tau ln 9, 5 % settling in 2.995732 tau.
        $response = new Response(1.0, INF, INF, 0.7);
        foreach (Reference::table('lag-step') as [$ratio, $reached]) {
            self::assertEqualsWithDelta((float) $reached, $response->pressed(0.7 * (float) $ratio), 1e-6);
        }
        self::assertEqualsWithDelta(2.995732 * 0.7, $response->startSeconds(), 1e-5);
    }

    public function test_cubic_expo_of_the_same_half_stick(): void
    {
        // p = 0.5 - 0.375 e, so e = (0.5 - p) / 0.375; below 0.125 there is no cubic (derived).
        foreach ([[0.3, 0.533333], [0.2, 0.8], [0.6875, -0.5]] as [$half, $expo]) {
            $curve = CurveKinds::through('soft-expo', 0.5, $half);
            self::assertInstanceOf(CubicExpoCurve::class, $curve);
            self::assertEqualsWithDelta($expo, $curve->expo, 1e-6);
        }
        $softest = CurveKinds::through('soft-expo', 0.5, 0.08);
        self::assertEqualsWithDelta(0.125, $softest->output(0.5), 1e-9);
    }

    public function test_a_curve_by_centre_slope_and_end_rate(): void
    {
        // R = C, s = 1 - C / M: through half stick the hyperbola gives R / 2 / (1 - s / 2) (derived).
        foreach (Reference::table('hyperbolic-rate') as $row) {
            [$centre, $bend, , $half] = array_map(Reference::number(...), $row);
            $end = $centre / (1 - $bend);
            $curve = CurveKinds::through('rates', 0.5, $half / $end, $end);
            self::assertInstanceOf(RateCurve::class, $curve);
            self::assertEqualsWithDelta($centre, $curve->centre, 1e-3 * $centre);
        }
    }

    public function test_how_fine_a_stick_of_a_thousand_steps_is(): void
    {
        // Smallest output y(1/N) in millionths, and travel that gives a tenth, in steps (derived, two routes).
        $rows = [
            [new HalfStickCurve(0.5), 1000.0, 100.0], [new CubicExpoCurve(0.3), 700.0003, 141.639],
            [new CubicExpoCurve(0.7), 300.0007, 281.361], [new HalfStickCurve(0.25), 1.0, 316.228],
            [new HalfStickCurve(0.4), 108.1971, 175.198], [new RateCurve(30.0, 100.0), 300.2101, 270.270],
        ];
        foreach ($rows as [$curve, $smallest, $steps]) {
            self::assertEqualsWithDelta($smallest, 1e6 * $curve->output(0.001), 1e-3);
            self::assertEqualsWithDelta($steps, 1000 * $curve->travel(0.1), 1e-3);
        }
    }

    public function test_curve_numbers_of_the_trade(): void
    {
        // Common practice, no published source: 0.5 is straight; 0.35 gives 0.35 at half stick and 0.12 at a quarter;
        // 0.29 is softer than 0.35 and that than 0.37; at and beyond 1 there is no meaning.
        self::assertEqualsWithDelta(0.5, (new HalfStickCurve(0.5))->output(0.5), 1e-12);
        self::assertEqualsWithDelta(0.12, (new HalfStickCurve(0.35))->output(0.25), 0.005);
        self::assertLessThan((new HalfStickCurve(0.35))->output(0.2), (new HalfStickCurve(0.29))->output(0.2));
        self::assertLessThan((new HalfStickCurve(0.37))->output(0.2), (new HalfStickCurve(0.35))->output(0.2));
        foreach ([['half-stick', 1.0], ['half-stick', 1.4], ['half-stick-percent', 130]] as [$kind, $value]) {
            try {
                CurveKinds::read(Fields::of(['kind' => $kind, 'value' => $value]));
                self::fail('It was taken.');
            } catch (\Larkspur\Refusal $refusal) {
                self::assertSame('value', $refusal->place);
            }
        }
        // The same bare number is soft in one convention and softer or sharper in another: never compare them.
        self::assertGreaterThan(0.1, Conversion::largest(new HalfStickCurve(0.7), new CubicExpoCurve(0.7)));
        foreach ([
            new HalfStickCurve(0.35), new CubicExpoCurve(0.7), new RateCurve(20, 60), new PointsCurve([[0.0, 0.0], [0.5, 0.3], [1.0, 1.0]]),
        ] as $curve) {
            self::assertEqualsWithDelta(1.0, $curve->output(1.0), 1e-12, 'a curve does not lower the greatest rate');
        }
    }

    public function test_how_long_a_tilt_takes_at_a_gimbal_rate(): void
    {
        // From straight down to 7.9 degrees below level: 8.2 s at 10 deg/s, 20.5 s at 4, 5.1 s at 16, before the ease; a
        // quarter turn 22.5 s at 4 and 3 s at 30; a full turn 8 s at 45 and 2.8 s at 130 (derived).
        foreach ([
            [82.1, 10, 8.2], [82.1, 4, 20.5], [82.1, 16, 5.1], [90, 4, 22.5], [90, 30, 3.0], [360, 45, 8.0], [360, 130, 2.8],
        ] as [$degrees, $rate, $seconds]) {
            $response = new Response((float) $rate, INF, INF, 0.0);
            self::assertEqualsWithDelta($degrees, $response->pressedWay($seconds), 0.06 * $rate);
        }
        // A cushion costs its time constant: with one the way is covered that much later.
        $cushioned = new Response(10.0, INF, INF, 0.4);
        self::assertEqualsWithDelta(82.1, $cushioned->pressedWay(8.21 + 0.4), 0.01);
    }

    public function test_the_first_instant_of_a_pull_away_and_the_top_of_a_fly_over(): void
    {
        // Tilt rate v / d: 1.5 m/s of climb at 4 m needs 21.5 deg/s, a limit of 10 gives only 0.7 m/s there; at 5 m/s and 40 m
        // overhead 7.2 deg/s, possible at 10 and not at 4 (derived).
        $tilt = static fn (float $v, float $d): Demand => new Demand('a shot', Finger::Tilt, 0.0, [[0.0, $v / $d, 0.0]], 1.0);
        self::assertEqualsWithDelta(21.5, rad2deg($tilt(1.5, 4.0)->peak(0.0, true)[0]), 0.05);
        self::assertEqualsWithDelta(10.0, rad2deg($tilt(0.7, 4.0)->peak(0.0, true)[0]), 0.05);
        self::assertEqualsWithDelta(7.2, rad2deg($tilt(5.0, 40.0)->peak(0.0, true)[0]), 0.05);
    }

    public function test_real_sets_with_a_quicker_slow_mode_are_told_and_taken(): void
    {
        // Common practice: a slow mode with a quicker tilt and a smaller cushion than the standard mode is flown on purpose.
        $settings = Rigs::all()['lapwing'];
        $settings['modes']['slow']['gimbal'] = ['top_rate_dps' => 27.0, 'cushion_s' => 0.2];
        $rig = Craft::read(Fields::of(Rigs::crafts()['lapwing']))->setUp($settings);

        self::assertCount(
            2,
            array_filter(
                SettingsWarning::of($rig),
                static fn (SettingsWarning $oddity): bool => str_contains(
                    $oddity->place, 'slow.tilt.',
                ) && ! str_contains($oddity->place, 'curve'),
            ),
        );
    }

    public function test_least_squares_finds_what_made_the_data_and_how_surely(): void
    {
        // y = a exp(-b t) + c with known noise: the estimates lie about the truth as often as their deviations say.
        $noise = SeededNoise::named(3, 'fit');
        $t = array_map(static fn (int $i): float => $i / 10, range(0, 60));
        $off = [];
        for ($i = 0; $i < 60; $i++) {
            $values = array_map(static fn (float $x): float => 4.0 * exp(-0.8 * $x) + 1.0 + 0.05 * $noise->normal(), $t);
            $fit = LeastSquares::fit(
                static fn (array $p): array => array_map(static fn (float $x): float => $p[0] * exp(-$p[1] * $x) + $p[2], $t),
                [1.0, 0.3, 0.0], $values,
            );
            $off[] = ($fit->parameters[1] - 0.8) / $fit->deviations()[1];
            self::assertEqualsWithDelta(0.05, $fit->noise(), 0.02);
        }
        self::assertEqualsWithDelta(1.0, sqrt(array_sum(array_map(static fn (float $z): float => $z * $z, $off)) / count($off)), 0.25);
    }
}
