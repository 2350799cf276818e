<?php

declare(strict_types=1);

namespace Tests\Checks;

use Larkspur\Measure\Lag;
use Larkspur\Rig\CubicExpoCurve;
use Larkspur\Rig\HalfStickCurve;
use Larkspur\Rig\RateCurve;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Response curves and first-order lag against values worked out independently in two ways each (closed form, and root
 * finding or stepping). Cubic expo is common practice in radio control, no published source; the lag is that of any
 * control text (K. Ogata, Modern Control Engineering).
 */
final class CurvesTest extends TestCase
{
    /** @return iterable<string, array{list<float>}> */
    public static function expo(): iterable
    {
        return self::rows('expo');
    }

    /** @param  list<float>  $row */
    #[DataProvider('expo')]
    public function test_cubic_expo(array $row): void
    {
        $curve = new CubicExpoCurve($row[0]);
        foreach ([0.1, 0.25, 0.5, 0.75, 0.9, 1.0] as $i => $travel) {
            self::assertEqualsWithDelta($row[$i + 1], $curve->output($travel), 1e-6);
            self::assertEqualsWithDelta(-$row[$i + 1], $curve->output(-$travel), 1e-6);
        }
    }

    /** @return iterable<string, array{list<float>}> */
    public static function expoInverse(): iterable
    {
        return self::rows('expo-inverse');
    }

    /** @param  list<float>  $row */
    #[DataProvider('expoInverse')]
    public function test_the_inverse_of_cubic_expo(array $row): void
    {
        $curve = new CubicExpoCurve($row[0]);
        foreach ([0.05, 0.1, 0.25, 0.5, 0.9] as $i => $output) {
            self::assertEqualsWithDelta($row[$i + 1], $curve->travel($output), 1e-6);
        }
    }

    /** @return iterable<string, array{list<float>}> */
    public static function halfStick(): iterable
    {
        return self::rows('half-stick');
    }

    /** @param  list<float>  $row */
    #[DataProvider('halfStick')]
    public function test_the_half_stick_convention(array $row): void
    {
        $curve = new HalfStickCurve($row[0]);
        foreach ([0.1, 0.25, 0.5, 0.75] as $i => $travel) {
            self::assertEqualsWithDelta($row[$i + 2], $curve->output($travel), 1e-6);
        }
        self::assertEqualsWithDelta($row[6], $curve->travel(0.1), 1e-6);
        self::assertEqualsWithDelta($row[0] ** 2, $curve->output(0.25), 1e-12, 'y(1/4) = p^2 exactly');
    }

    /** @return iterable<string, array{list<float>}> */
    public static function rates(): iterable
    {
        return self::rows('hyperbolic-rate');
    }

    /** @param  list<float>  $row */
    #[DataProvider('rates')]
    public function test_centre_slope_and_end_rate(array $row): void
    {
        [$centre, $bend] = $row;
        $curve = new RateCurve($centre, $centre / (1 - $bend));
        foreach ([0.25, 0.5, 0.75, 1.0] as $i => $travel) {
            self::assertEqualsWithDelta($row[$i + 2], $curve->output($travel) * $curve->end, 1e-3);
            self::assertEqualsWithDelta($travel, $curve->travel($curve->output($travel)), 1e-9);
        }
    }

    public function test_curve_numbers_as_the_trade_reads_them(): void
    {
        // Common practice, no published source: 0.65 gives half the output at a third of the stick; a whole number is
        // the same times 100; 0.8 gives nearly half at a tenth.
        self::assertEqualsWithDelta(0.50, (new HalfStickCurve(0.65))->output(0.33), 0.005);
        self::assertEqualsWithDelta(0.48, (new HalfStickCurve(0.8))->output(0.1), 0.005);
        self::assertEqualsWithDelta((new HalfStickCurve(0.3))->output(0.4), (new HalfStickCurve(0.3, true))->output(0.4), 1e-12);
    }

    public function test_first_order_lag_is_stepped_exactly(): void
    {
        foreach (Reference::table('lag-discrete') as [$tau, $step, $share]) {
            self::assertEqualsWithDelta((float) $share, Lag::share((float) $tau, (float) $step), 1e-6);
        }
        foreach (Reference::table('lag-step') as [$ratio, $reached]) {
            $y = 0.0;
            for ($i = 0; $i < 50; $i++) {
                $y += Lag::share(1.0, (float) $ratio / 50) * (1 - $y);
            }
            self::assertEqualsWithDelta((float) $reached, $y, 1e-6);
        }
        self::assertSame(1.0, Lag::share(0.0, 0.02));
    }

    /** @return iterable<string, array{list<float>}> */
    private static function rows(string $table): iterable
    {
        foreach (Reference::table($table) as $row) {
            yield $table.' '.$row[0].' '.$row[1] => [array_map(Reference::number(...), $row)];
        }
    }
}
