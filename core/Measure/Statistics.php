<?php

declare(strict_types=1);

namespace Larkspur\Measure;

/** Plain statistics of a list of floats. An empty list gives 0 unless a function says otherwise. */
final class Statistics
{
    /** @param  list<float>  $values */
    public static function mean(array $values): float
    {
        return $values === [] ? 0.0 : array_sum($values) / count($values);
    }

    /** @param  list<float>  $values */
    public static function meanSquare(array $values): float
    {
        $sum = 0.0;
        foreach ($values as $value) {
            $sum += $value * $value;
        }

        return $values === [] ? 0.0 : $sum / count($values);
    }

    /**
     * Population variance.
     *
     * @param  list<float>  $values
     */
    public static function variance(array $values): float
    {
        $mean = self::mean($values);
        $sum = 0.0;
        foreach ($values as $value) {
            $sum += ($value - $mean) ** 2;
        }

        return $values === [] ? 0.0 : $sum / count($values);
    }

    /** @param  list<float>  $values */
    public static function greatest(array $values): float
    {
        return $values === [] ? 0.0 : max($values);
    }

    /** @param  list<float>  $values */
    public static function least(array $values): float
    {
        return $values === [] ? 0.0 : min($values);
    }

    /**
     * Distance between the greatest and the least.
     *
     * @param  list<float>  $values
     */
    public static function span(array $values): float
    {
        return self::greatest($values) - self::least($values);
    }

    /** @param  list<float>  $values */
    public static function median(array $values): float
    {
        return self::percentile($values, 50.0);
    }

    /**
     * Percentile with linear interpolation between the closest ranks.
     *
     * @param  list<float>  $values
     * @param  float  $percent  0 to 100
     */
    public static function percentile(array $values, float $percent): float
    {
        if ($values === []) {
            return 0.0;
        }
        sort($values);
        $rank = (count($values) - 1) * $percent / 100;
        $below = (int) floor($rank);
        $above = min($below + 1, count($values) - 1);

        return $values[$below] + ($rank - $below) * ($values[$above] - $values[$below]);
    }

    /**
     * Slope of the least-squares line of $y over $x, per unit of $x; 0 where $x does not vary.
     *
     * @param  list<float>  $x
     * @param  list<float>  $y
     */
    public static function slope(array $x, array $y): float
    {
        $mx = self::mean($x);
        $my = self::mean($y);
        $sxy = 0.0;
        $sxx = 0.0;
        foreach ($x as $i => $value) {
            $sxy += ($value - $mx) * ($y[$i] - $my);
            $sxx += ($value - $mx) ** 2;
        }

        return $sxx > 0 ? $sxy / $sxx : 0.0;
    }

    /**
     * Centred moving average over an odd number of values, the edges repeated outward.
     *
     * @param  list<float>  $values
     * @return list<float>
     */
    public static function movingAverage(array $values, int $width): array
    {
        $n = count($values);
        if ($n === 0) {
            return [];
        }
        $half = intdiv($width, 2);
        $sum = 0.0;
        for ($i = -$half; $i <= $half; $i++) {
            $sum += $values[max(0, min($n - 1, $i))];
        }
        $out = [];
        for ($i = 0; $i < $n; $i++) {
            $out[] = $sum / $width;
            $sum += $values[min($n - 1, $i + $half + 1)] - $values[max(0, $i - $half)];
        }

        return $out;
    }

    /**
     * Spearman's rank correlation, ties by their mean rank (C. Spearman, Am. J. Psychol. 15, 1904).
     *
     * @param  list<float>  $a
     * @param  list<float>  $b  as many as $a
     */
    public static function rankCorrelation(array $a, array $b): float
    {
        $x = self::ranks($a);
        $y = self::ranks($b);
        $mx = self::mean($x);
        $my = self::mean($y);
        $xy = $xx = $yy = 0.0;
        foreach ($x as $i => $value) {
            $xy += ($value - $mx) * ($y[$i] - $my);
            $xx += ($value - $mx) ** 2;
            $yy += ($y[$i] - $my) ** 2;
        }

        return $xx * $yy > 0 ? $xy / sqrt($xx * $yy) : 0.0;
    }

    /**
     * Ranks from 1, ties sharing their mean.
     *
     * @param  list<float>  $values
     * @return list<float>
     */
    private static function ranks(array $values): array
    {
        asort($values);
        $keys = array_keys($values);
        $n = count($keys);
        $ranks = array_fill(0, $n, 0.0);
        for ($i = 0; $i < $n; $i = $j) {
            $j = $i;
            while ($j < $n && $values[$keys[$j]] === $values[$keys[$i]]) {
                $j++;
            }
            for ($k = $i; $k < $j; $k++) {
                $ranks[$keys[$k]] = ($i + $j + 1) / 2;
            }
        }

        return array_values($ranks);
    }
}
