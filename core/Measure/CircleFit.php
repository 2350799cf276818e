<?php

declare(strict_types=1);

namespace Larkspur\Measure;

/**
 * The circle through points by Taubin's fit, solved with Newton's method for the smallest root of the characteristic
 * polynomial (G. Taubin, IEEE Trans. PAMI 13 (1991) 1115-1138; the Newton form is that of N. Chernov, Circular and
 * Linear Regression (2010), ch. 5). Far less biased on short arcs than the simple algebraic fit.
 */
final readonly class CircleFit
{
    private function __construct(public float $x, public float $y, public float $radius)
    {
    }

    /**
     * @param  list<float>  $x
     * @param  list<float>  $y
     * @return ?self null where the points lie on a line or are fewer than three
     */
    public static function taubin(array $x, array $y): ?self
    {
        $n = count($x);
        if ($n < 3) {
            return null;
        }
        $mx = Statistics::mean($x);
        $my = Statistics::mean($y);
        $xx = $yy = $xy = $xz = $yz = $zz = 0.0;
        for ($i = 0; $i < $n; $i++) {
            $a = $x[$i] - $mx;
            $b = $y[$i] - $my;
            $z = $a * $a + $b * $b;
            $xx += $a * $a / $n;
            $yy += $b * $b / $n;
            $xy += $a * $b / $n;
            $xz += $a * $z / $n;
            $yz += $b * $z / $n;
            $zz += $z * $z / $n;
        }
        $mz = $xx + $yy;
        $cov = $xx * $yy - $xy * $xy;
        $a3 = 4 * $mz;
        $a2 = -3 * $mz * $mz - $zz;
        $a1 = $zz * $mz + 4 * $cov * $mz - $xz * $xz - $yz * $yz - $mz ** 3;
        $a0 = $xz * $xz * $yy + $yz * $yz * $xx - $zz * $cov - 2 * $xz * $yz * $xy + $mz * $mz * $cov;
        $root = 0.0;
        for ($i = 0; $i < 50; $i++) {
            $slope = $a1 + $root * (2 * $a2 + 3 * $a3 * $root);
            if ($slope === 0.0) {
                break;
            }
            $next = $root - ($a0 + $root * ($a1 + $root * ($a2 + $root * $a3))) / $slope;
            if (! is_finite($next)) {
                break;
            }
            $done = abs($next - $root) < 1e-12 * max(abs($next), 1e-12);
            $root = $next;
            if ($done) {
                break;
            }
        }
        $determinant = $root * $root - $root * $mz + $cov;
        if (abs($determinant) < 1e-12 * max(1.0, $mz * $mz)) {
            return null;
        }
        $cx = ($xz * ($yy - $root) - $yz * $xy) / $determinant / 2;
        $cy = ($yz * ($xx - $root) - $xz * $xy) / $determinant / 2;

        return new self($cx + $mx, $cy + $my, sqrt($cx * $cx + $cy * $cy + $mz));
    }
}
