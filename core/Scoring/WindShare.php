<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

use Larkspur\Controls\Axis;
use Larkspur\Measure\Lag;
use Larkspur\Measure\LocalQuadratic;
use Larkspur\Measure\Statistics;

/**
 * About how many points of steadiness the wind cost, or gave: what of the pace the fingers do not explain
 * (docs/scoring.md, section 10). Without finger columns nobody can say.
 *
 * Finger travel x and its cube go through two first-order lags of 0.22 s each, are integrated and seen through the
 * 1.8 s kernel; the measured pace is regressed on both over the take. The share is score(cv predicted) - score(cv measured).
 */
final class WindShare
{
    private const LAG = 0.22;

    /** Below this share of the pace's variation the fingers explain nothing, and nothing is said. */
    private const LEAST_EXPLAINED = 0.5;

    public static function of(Take $take, ?Sticks $sticks): ?float
    {
        $role = $take->judging->primary();
        if ($sticks === null || $role !== Axis::Travel || ! isset($take->spans[Axis::Travel->value])) {
            return null;
        }
        $travel = $sticks->travelAt($take->grid->t);
        if ($travel === null) {
            return null;
        }
        $predictors = [];
        foreach ([1, 3] as $power) {
            $predictors[] = self::seen($take->grid->t, array_map(static fn (float $x): float => $x ** $power, $travel));
        }
        $measured = $take->moving($take->steady[Axis::Travel->value]);
        $x1 = $take->moving($predictors[0]);
        $x3 = $take->moving($predictors[1]);
        $predicted = self::regressed($measured, $x1, $x3);
        $variance = Statistics::variance($measured);
        if ($predicted === null || $variance <= 0 || Statistics::variance($predicted) < self::LEAST_EXPLAINED * $variance) {
            return null;
        }
        $rates = $take->steady[Axis::Travel->value];
        foreach ($predicted as $k => $value) {
            $rates[$take->main->from + $k] = $value;
        }

        return MetricScale::Evenness->score(self::variation($take, array_values($rates))) - MetricScale::Evenness->score(self::variation(
            $take, $take->steady[Axis::Travel->value],
        ));
    }

    /**
     * Two first-order lags, integrated, and the rate of that by the 1.8 s kernel.
     *
     * @param  list<float>  $t
     * @param  list<float>  $x
     * @return list<float>
     */
    private static function seen(array $t, array $x): array
    {
        $share = Lag::share(self::LAG, Grid::STEP);
        $first = $second = $sum = 0.0;
        $integral = [];
        foreach ($x as $value) {
            $first += $share * ($value - $first);
            $second += $share * ($first - $second);
            $integral[] = $sum += $second * Grid::STEP;
        }
        [[$rate]] = LocalQuadratic::rates($t, [$integral], $t, Grid::STEADY);

        return $rate;
    }

    /**
     * Least squares y = a x1 + b x3.
     *
     * @param  list<float>  $y
     * @param  list<float>  $x1
     * @param  list<float>  $x3
     * @return ?list<float>
     */
    private static function regressed(array $y, array $x1, array $x3): ?array
    {
        $s11 = $s13 = $s33 = $b1 = $b3 = 0.0;
        foreach ($y as $i => $value) {
            $s11 += $x1[$i] ** 2;
            $s13 += $x1[$i] * $x3[$i];
            $s33 += $x3[$i] ** 2;
            $b1 += $x1[$i] * $value;
            $b3 += $x3[$i] * $value;
        }
        $ridge = 1e-6 * ($s11 + $s33);
        $determinant = ($s11 + $ridge) * ($s33 + $ridge) - $s13 ** 2;
        if ($s11 < 1e-6 || $determinant <= 0) {
            return null;
        }
        $a = ($b1 * ($s33 + $ridge) - $b3 * $s13) / $determinant;
        $b = ($b3 * ($s11 + $ridge) - $b1 * $s13) / $determinant;

        return array_map(static fn (float $p, float $q): float => $a * $p + $b * $q, $x1, $x3);
    }

    /** @param  list<float>  $rates */
    private static function variation(Take $take, array $rates): float
    {
        $held = $take->hold($rates);
        $median = Statistics::median($held);

        return sqrt(Statistics::meanSquare(array_map(static fn (float $rate): float => $rate - $median, $held))) / max(0.1, abs($median));
    }
}
