<?php

declare(strict_types=1);

namespace Larkspur\Measure;

/** The standard normal distribution. */
final class NormalDistribution
{
    /**
     * Share of it that lies below a value, by the error function's series for small and its continued fraction for large values (M.
     * Abramowitz and I. A. Stegun, Handbook of Mathematical Functions, 1964, 26.2.10 and 26.2.14).
     */
    public static function share(float $x): float
    {
        $density = exp(-$x * $x / 2) / sqrt(2 * M_PI);
        if (abs($x) < 3.0) {
            $term = $sum = $x;
            for ($k = 1; abs($term) > 1e-17; $k++) {
                $term *= $x * $x / (2 * $k + 1);
                $sum += $term;
            }

            return 0.5 + $density * $sum;
        }
        $fraction = 0.0;
        for ($k = 60; $k >= 1; $k--) {
            $fraction = $k / (abs($x) + $fraction);
        }
        $beyond = $density / (abs($x) + $fraction);

        return $x > 0 ? 1 - $beyond : $beyond;
    }

    /** The value below which a share of it lies, 0 < share < 1: bisection, then as exact as a double is. */
    public static function quantile(float $share): float
    {
        if ($share <= 0.0 || $share >= 1.0) {
            throw new \LogicException('A share lies between 0 and 1.');
        }
        [$low, $high] = [-38.0, 38.0];
        for ($k = 0; $k < 80; $k++) {
            $middle = ($low + $high) / 2;
            if (self::share($middle) < $share) {
                $low = $middle;
            } else {
                $high = $middle;
            }
        }

        return ($low + $high) / 2;
    }
}
