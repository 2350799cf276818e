<?php

declare(strict_types=1);

namespace Tests\Core\Measure;

use Larkspur\Measure\Series;
use PHPUnit\Framework\TestCase;

/** Even times, and values between samples. */
final class EvenTest extends TestCase
{
    public function test_even_times_go_as_far_as_the_step_does(): void
    {
        self::assertSame([2.0, 2.5, 3.0], Series::even(2.0, 3.2, 0.5));
        self::assertSame([0.0], Series::even(0.0, 0.0, 0.1));
        self::assertCount(11, Series::even(0.0, 1.0, 0.1), 'the end is not lost to rounding');
    }

    public function test_between_samples_the_straight_line_and_outside_the_nearest(): void
    {
        $values = Series::interpolate([1.0, 2.0, 4.0], [10.0, 20.0, 0.0], [0.0, 1.0, 1.25, 2.0, 3.0, 4.0, 9.0]);

        self::assertEqualsWithDelta([10.0, 10.0, 12.5, 20.0, 10.0, 0.0, 0.0], $values, 1e-12);
        self::assertSame([7.0, 7.0], Series::interpolate([3.0], [7.0], [1.0, 5.0]));
    }

    public function test_a_straight_line_comes_back_as_it_was(): void
    {
        $t = [0.0, 0.3, 0.35, 1.9, 2.0];
        foreach (Series::interpolate(
            $t, array_map(static fn (float $x): float => 3 * $x - 1, $t), Series::even(0.0, 2.0, 0.07),
        ) as $k => $value) {
            self::assertEqualsWithDelta(3 * 0.07 * $k - 1, $value, 1e-9);
        }
    }
}
