<?php

declare(strict_types=1);

namespace Larkspur\Measure;

/** Small operations on a list of floats, such as those that ready it for drawing. */
final class Series
{
    /**
     * Every value times a factor plus an offset, rounded.
     *
     * @param  list<float>  $values
     * @return list<float>
     */
    public static function rounded(array $values, int $digits, float $factor = 1.0, float $offset = 0.0): array
    {
        $out = [];
        foreach ($values as $value) {
            $out[] = round($value * $factor + $offset, $digits);
        }

        return $out;
    }

    /**
     * @param  list<float>  $values
     * @return list<float>
     */
    public static function times(array $values, float $factor): array
    {
        $out = [];
        foreach ($values as $value) {
            $out[] = $value * $factor;
        }

        return $out;
    }

    /**
     * @param  list<float>  $values
     * @return list<float>
     */
    public static function sizes(array $values): array
    {
        $out = [];
        foreach ($values as $value) {
            $out[] = abs($value);
        }

        return $out;
    }

    /**
     * The values at the given indices.
     *
     * @param  list<float>  $values
     * @param  list<int>  $indices  each within the list
     * @return list<float>
     */
    public static function at(array $values, array $indices): array
    {
        $out = [];
        foreach ($indices as $index) {
            $out[] = $values[$index];
        }

        return $out;
    }

    /**
     * Indices of every $stride-th of $count values; the last one always among them.
     *
     * @return list<int>
     */
    public static function stride(int $count, int $stride): array
    {
        $out = [];
        for ($i = 0; $i < $count; $i += max(1, $stride)) {
            $out[] = $i;
        }
        if ($count > 0 && ($count - 1) % max(1, $stride) !== 0) {
            $out[] = $count - 1;
        }

        return $out;
    }

    /**
     * Even times from one to another, both included as far as the step goes.
     *
     * @return list<float>
     */
    public static function even(float $from, float $to, float $step): array
    {
        $times = [];
        for ($k = 0, $n = (int) floor(($to - $from) / $step + 1e-9); $k <= $n; $k++) {
            $times[] = $from + $k * $step;
        }

        return $times;
    }

    /**
     * Values between samples, on the straight line from one to the next; outside them the nearest.
     *
     * @param  list<float>  $t  rising, one or more
     * @param  list<float>  $values
     * @param  list<float>  $times  rising
     * @return list<float>
     */
    public static function interpolate(array $t, array $values, array $times): array
    {
        $out = [];
        $last = count($t) - 1;
        $i = 0;
        foreach ($times as $time) {
            while ($i < $last && $t[$i + 1] < $time) {
                $i++;
            }
            $share = $i < $last ? max(0.0, min(1.0, ($time - $t[$i]) / ($t[$i + 1] - $t[$i]))) : 0.0;
            $out[] = $values[$i] + ($share > 0 ? $share * ($values[$i + 1] - $values[$i]) : 0.0);
        }

        return $out;
    }

    /**
     * The value at one time, on the straight line between samples; outside them the nearest.
     *
     * @param  non-empty-list<float>  $t  rising, or level for a while
     * @param  non-empty-list<float>  $values
     */
    public static function between(array $t, array $values, float $time): float
    {
        [$low, $high] = [0, count($t) - 1];
        if ($time <= $t[0] || $high === 0) {
            return $values[0];
        }
        if ($time >= $t[$high]) {
            return $values[$high];
        }
        while ($high - $low > 1) {
            $middle = intdiv($low + $high, 2);
            [$low, $high] = $t[$middle] <= $time ? [$middle, $high] : [$low, $middle];
        }

        return $values[$low] + ($time - $t[$low]) / max(1e-12, $t[$high] - $t[$low]) * ($values[$high] - $values[$low]);
    }
}
