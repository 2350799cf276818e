<?php

declare(strict_types=1);

namespace Larkspur\Measure;

use InvalidArgumentException;

/** Student's t distribution: how far from the middle of so many degrees of freedom a share of it lies. */
final class StudentT
{
    /**
     * The value that |t| stays under with a probability: Hill, Algorithm 396, Communications of the ACM 13 (1970), 619, which is good to
     * six figures from five degrees of freedom on, and to four below.
     *
     * @param  float  $within  probability, above 0 and under 1
     * @param  float  $freedom  degrees of freedom, 1 or more; need not be whole
     *
     * @throws InvalidArgumentException
     */
    public static function within(float $within, float $freedom): float
    {
        if ($within <= 0.0 || $within >= 1.0 || $freedom < 1.0) {
            throw new InvalidArgumentException("No t within $within with $freedom degrees of freedom.");
        }
        $p = 1.0 - $within;
        if ($freedom < 1.0 + 1e-9) {
            return 1.0 / tan(0.5 * M_PI * $p);
        }
        if (abs($freedom - 2.0) < 1e-9) {
            return sqrt(2.0 / ($p * (2.0 - $p)) - 2.0);
        }
        $n = $freedom;
        $a = 1.0 / ($n - 0.5);
        $b = 48.0 / ($a * $a);
        $c = ((20700.0 * $a / $b - 98.0) * $a - 16.0) * $a + 96.36;
        $d = ((94.5 / ($b + $c) - 3.0) / $b + 1.0) * sqrt(0.5 * $a * M_PI) * $n;
        $y = ($d * $p) ** (2.0 / $n);
        if ($y > 0.05 + $a) {
            $x = -NormalDistribution::quantile(1.0 - 0.5 * $p);
            $y = $x * $x;
            if ($n < 5.0) {
                $c += 0.3 * ($n - 4.5) * ($x + 0.6);
            }
            $c += (((0.05 * $d * $x - 5.0) * $x - 7.0) * $x - 2.0) * $x + $b;
            $y = (((((0.4 * $y + 6.3) * $y + 36.0) * $y + 94.5) / $c - $y - 3.0) / $b + 1.0) * $x;
            $y = expm1($a * $y * $y);
        } else {
            $y = ((1.0 / ((($n + 6.0) / ($n * $y) - 0.089 * $d - 0.822) * ($n + 2.0) * 3.0) + 0.5 / ($n + 4.0)) * $y - 1.0)
                * ($n + 1.0) / ($n + 2.0) + 1.0 / $y;
        }

        return sqrt($n * $y);
    }
}
