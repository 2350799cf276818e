<?php

declare(strict_types=1);

namespace Tests\Core\Measure;

use Larkspur\Measure\Anchors;
use Larkspur\Measure\Angle;
use Larkspur\Measure\LocalQuadratic;
use Larkspur\Measure\NoiseLevel;
use Larkspur\Measure\Ramp;
use Larkspur\Measure\SeededNoise;
use Larkspur\Measure\Series;
use Larkspur\Measure\Statistics;
use PHPUnit\Framework\TestCase;

final class MeasureTest extends TestCase
{
    public function test_angles_wrap_into_their_ranges(): void
    {
        self::assertEqualsWithDelta(M_PI, Angle::wrap(-M_PI), 1e-12);
        self::assertEqualsWithDelta(-M_PI / 2, Angle::wrap(7.5 * M_PI), 1e-12);
        self::assertEqualsWithDelta(350.0, Angle::bearing(-10 * Angle::DEGREE), 1e-9);
        self::assertSame(0.0, Angle::bearing(-1e-18));
        self::assertSame(0.0, Angle::turn(2 * M_PI));
    }

    public function test_unwrapping_removes_jumps_and_nothing_else(): void
    {
        self::assertEqualsWithDelta([350.0, 358.0, 366.0, 374.0], Angle::unwrap([350.0, 358.0, 6.0, 14.0], 360.0), 1e-9);
        self::assertEqualsWithDelta([2.0, -4.0, -12.0], Angle::unwrap([2.0, 356.0, 348.0], 360.0), 1e-9);
        self::assertSame([], Angle::unwrap([]));
    }

    public function test_percentiles_interpolate_between_ranks(): void
    {
        self::assertSame(2.5, Statistics::median([4.0, 1.0, 3.0, 2.0]));
        self::assertEqualsWithDelta(3.85, Statistics::percentile([1.0, 2.0, 3.0, 4.0], 95), 1e-12);
        self::assertSame(0.0, Statistics::percentile([], 50));
    }

    public function test_slope_and_moving_average(): void
    {
        self::assertEqualsWithDelta(-2.0, Statistics::slope([0.0, 1.0, 2.0], [5.0, 3.0, 1.0]), 1e-12);
        self::assertSame(0.0, Statistics::slope([1.0, 1.0], [2.0, 9.0]));
        self::assertEqualsWithDelta([4 / 3, 2.0, 3.0, 11 / 3], Statistics::movingAverage([1.0, 2.0, 3.0, 4.0], 3), 1e-12);
    }

    public function test_a_ramp_covers_half_its_length_and_is_smooth_at_both_ends(): void
    {
        self::assertSame(0.0, Ramp::rate(-1));
        self::assertSame(1.0, Ramp::rate(1));
        self::assertEqualsWithDelta(0.5, Ramp::travel(1), 1e-12);
        self::assertEqualsWithDelta(2.5, Ramp::travel(3), 1e-12);
        // The greatest slope of minimum jerk is 15/8 (T. Flash, N. Hogan, J. Neurosci. 5 (1985) 1688-1703).
        self::assertEqualsWithDelta(1.875, Ramp::slope(0.5), 1e-12);
        $sum = 0.0;
        for ($i = 0; $i < 1000; $i++) {
            $sum += Ramp::rate(($i + 0.5) / 1000) / 1000;
        }
        self::assertEqualsWithDelta(Ramp::travel(1), $sum, 1e-6);
    }

    public function test_anchors_are_flat_beyond_their_ends(): void
    {
        $anchors = new Anchors([[1.0, 100.0], [3.0, 50.0], [7.0, 0.0]]);
        self::assertSame([100.0, 75.0, 25.0, 0.0], array_map($anchors->at(...), [0.0, 2.0, 5.0, 99.0]));
    }

    public function test_seeded_noise_repeats_and_is_standard(): void
    {
        $draw = static function (int $seed, string $purpose): array {
            $noise = SeededNoise::named($seed, $purpose);

            return array_map(static fn (): float => $noise->normal(), range(1, 4000));
        };
        $first = $draw(7, 'hands');
        self::assertSame($first, $draw(7, 'hands'));
        self::assertNotSame($first, $draw(8, 'hands'));
        self::assertNotSame($first, $draw(7, 'gusts'));
        self::assertEqualsWithDelta(0.0, Statistics::mean($first), 0.06);
        self::assertEqualsWithDelta(1.0, Statistics::variance($first), 0.08);
    }

    public function test_uneven_samples_give_the_same_parabola(): void
    {
        $noise = new SeededNoise(3);
        $t = $y = [];
        for ($time = 0.0; $time < 12; $time += $noise->between(0.03, 0.16)) {
            $t[] = $time;
            $y[] = 4 - 2 * $time + 0.25 * $time ** 2;
        }
        [[[$value, $rate, $acceleration]]] = LocalQuadratic::fit($t, [$y], [3.0, 6.0, 9.0], 1.2);
        foreach ([3.0, 6.0, 9.0] as $i => $node) {
            self::assertEqualsWithDelta(4 - 2 * $node + 0.25 * $node ** 2, $value[$i], 1e-6);
            self::assertEqualsWithDelta(-2 + 0.5 * $node, $rate[$i], 1e-6);
            self::assertEqualsWithDelta(0.5, $acceleration[$i], 1e-5);
        }
    }

    public function test_a_window_with_too_few_samples_grows(): void
    {
        $t = array_map(static fn (int $i): float => $i * 1.0, range(0, 20));
        [[$rate], $gain] = LocalQuadratic::rates($t, [array_map(static fn (float $x): float => 3 * $x, $t)], [10.0], 0.6);

        self::assertEqualsWithDelta(3.0, $rate[0], 1e-6);
        self::assertGreaterThan(0.0, $gain[0]);
    }

    public function test_noise_level_sees_noise_and_not_the_manoeuvre(): void
    {
        $noise = new SeededNoise(11);
        $t = array_map(static fn (int $i): float => $i / 10, range(0, 599));
        $y = array_map(static fn (float $time): float => 20 * sin($time / 3) + 0.15 * $noise->normal(), $t);

        self::assertEqualsWithDelta(0.15, NoiseLevel::of($t, $y, 0.02, 0.4), 0.02);
        self::assertSame(0.02, NoiseLevel::of([0.0, 0.1], [1.0, 9.0], 0.02, 0.4));
    }

    public function test_series_are_thinned_with_their_last_value(): void
    {
        self::assertSame([0, 4, 8, 9], Series::stride(10, 4));
        self::assertSame([0, 3, 6, 9], Series::stride(10, 3));
        self::assertSame([], Series::stride(0, 3));
        self::assertSame([1.5, -3.0], Series::rounded([1.5, -3.0], 1));
    }
}
