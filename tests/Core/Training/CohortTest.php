<?php

declare(strict_types=1);

namespace Tests\Core\Training;

use InvalidArgumentException;
use Larkspur\Measure\SeededNoise;
use Larkspur\Measure\StudentT;
use Larkspur\Training\Group\CohortComparison;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Two cohorts beside each other: the interval, what may be said, and how often it is right. */
final class CohortTest extends TestCase
{
    /** @return iterable<string, array{float, float, float}> */
    public static function table(): iterable
    {
        // Table of Student's t, as it stands in every book of statistics (Fisher and Yates, Statistical Tables, 1938); from memory.
        foreach ([
            [0.90, 1, 6.314], [0.90, 2, 2.920], [0.90, 3, 2.353], [0.95, 4, 2.776], [0.95, 5, 2.571], [0.90, 7, 1.895],
            [0.95, 10, 2.228], [0.99, 10, 3.169], [0.90, 30, 1.697], [0.95, 120, 1.980],
        ] as [$within, $freedom, $t]) {
            yield "$within, $freedom" => [$within, (float) $freedom, $t];
        }
    }

    #[DataProvider('table')]
    public function test_students_t_is_that_of_the_table(float $within, float $freedom, float $t): void
    {
        self::assertEqualsWithDelta($t, StudentT::within($within, $freedom), 6e-4);
    }

    public function test_students_t_has_no_value_where_there_is_none(): void
    {
        $this->expectException(InvalidArgumentException::class);
        StudentT::within(1.0, 5.0);
    }

    /**
     * Hours of sleep that two drugs gave to ten people each (Student, The probable error of a mean, Biometrika 6, 1908, 20), which the
     * statistics language R shows for Welch's test: a difference of -1.58, 17.776 degrees of freedom, 95 % from -3.3655 to 0.2055; from
     * memory. At 90 % its margin is t(0.9) / t(0.95) of that.
     */
    public function test_the_interval_is_welchs(): void
    {
        $one = [0.7, -1.6, -0.2, -1.2, -0.1, 3.4, 3.7, 0.8, 0.0, 2.0];
        $other = [1.9, 0.8, 1.1, 0.1, -0.1, 4.4, 5.5, 1.6, 4.6, 3.4];
        $compared = CohortComparison::between('score', $one, $other);

        self::assertEqualsWithDelta(-1.58, $compared->difference, 1e-9);
        $margin = (0.2054832 + 3.3654832) / 2 * StudentT::within(0.9, 17.776473) / StudentT::within(0.95, 17.776473);
        self::assertEqualsWithDelta(-1.58 - $margin, $compared->interval[0] ?? 0, 1e-4);
        self::assertEqualsWithDelta(-1.58 + $margin, $compared->interval[1] ?? 0, 1e-4);
        self::assertSame('cohorts.second-is-ahead', $compared->said()->code);
    }

    public function test_of_too_few_nothing_is_said_and_of_those_alike_that_it_cannot_be_told(): void
    {
        $few = CohortComparison::between('score', [90.0, 91.0], [50.0, 51.0, 52.0]);
        self::assertNull($few->difference);
        self::assertSame('cohorts.too-few', $few->said()->code);
        $alike = CohortComparison::between('score', [70.0, 80.0, 90.0], [71.0, 79.0, 91.0]);
        self::assertSame('cohorts.cannot-be-told', $alike->said()->code);
        self::assertSame([5.0, 5.0], CohortComparison::between('score', [75.0, 75.0, 75.0], [70.0, 70.0, 70.0])->interval);
        self::assertNull(CohortComparison::between('score', [], [1.0])->oneMean);
    }

    public function test_nine_of_ten_intervals_hold_the_difference(): void
    {
        $noise = new SeededNoise(30);
        $held = 0;
        for ($k = 0; $k < 2000; $k++) {
            $draw = static fn (int $many, float $mean, float $spread): array => array_map(
                static fn (): float => $mean + $spread * $noise->normal(), range(1, $many),
            );
            $interval = CohortComparison::between('score', $draw(4, 78.0, 9.0), $draw(7, 70.0, 3.0))->interval;
            $held += $interval !== null && $interval[0] <= 8.0 && $interval[1] >= 8.0 ? 1 : 0;
        }
        self::assertGreaterThan(0.87, $held / 2000);
        self::assertLessThan(0.93, $held / 2000);
    }
}
