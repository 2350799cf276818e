<?php

declare(strict_types=1);

namespace Larkspur\Measure;

/**
 * The quintic S-curve with which every planned ease begins and ends: rate 0 to 1 over one unit of time, with
 * zero slope and curvature at both ends. It is the minimum-jerk change of rate (T. Flash, N. Hogan,
 * J. Neurosci. 5 (1985) 1688-1703, whose position profile this is).
 */
final class Ramp
{
    /** Rate at x: 10 x^3 - 15 x^4 + 6 x^5, clipped to [0, 1] outside 0..1. */
    public static function rate(float $x): float
    {
        if ($x <= 0) {
            return 0.0;
        }

        return $x >= 1 ? 1.0 : $x * $x * $x * (10 + $x * (6 * $x - 15));
    }

    /** Slope of the rate at x, greatest (1.875) in the middle. */
    public static function slope(float $x): float
    {
        return $x <= 0 || $x >= 1 ? 0.0 : 30 * $x * $x * (1 - $x) * (1 - $x);
    }

    /** Travel since the start: the integral of the rate, one half at x = 1, then growing by one per unit. */
    public static function travel(float $x): float
    {
        if ($x <= 0) {
            return 0.0;
        }
        if ($x >= 1) {
            return 0.5 + ($x - 1);
        }

        return $x ** 4 * (2.5 + $x * ($x - 3));
    }
}
