<?php

declare(strict_types=1);

namespace Larkspur\Measure;

/**
 * Matches two series that pass the same places in the same order at different paces: dynamic time warping
 * (H. Sakoe and S. Chiba, IEEE Trans. ASSP 26, 1978; symmetric steps, no slope limit).
 */
final class Warp
{
    /**
     * The cheapest monotone matching, by squared distance. Cost: the product of both lengths.
     *
     * @param  non-empty-list<non-empty-list<float>>  $a
     * @param  non-empty-list<non-empty-list<float>>  $b  points of the same number of coordinates
     * @return non-empty-list<array{int, int}> pairs of indices, from the first of both to the last of both
     */
    public static function path(array $a, array $b): array
    {
        $n = count($a);
        $m = count($b);
        $previous = array_fill(0, $m, INF);
        $from = [];
        foreach ($a as $i => $p) {
            $row = [];
            $steps = '';
            foreach ($b as $j => $q) {
                $cost = 0.0;
                foreach ($p as $k => $x) {
                    $cost += ($x - $q[$k]) ** 2;
                }
                $diagonal = $j > 0 ? $previous[$j - 1] : INF;
                $up = $previous[$j] ?? INF;
                $left = $j > 0 ? $row[$j - 1] : INF;
                if ($diagonal <= $up && $diagonal <= $left) {
                    $row[] = $cost + ($diagonal === INF ? 0.0 : $diagonal);
                    $steps .= 'd';
                } elseif ($up <= $left) {
                    $row[] = $cost + $up;
                    $steps .= 'u';
                } else {
                    $row[] = $cost + $left;
                    $steps .= 'l';
                }
            }
            $previous = $row;
            $from[] = $steps;
        }
        $i = $n - 1;
        $j = $m - 1;
        $path = [[$i, $j]];
        while ($i > 0 || $j > 0) {
            $step = $from[$i][$j];
            $i -= $step === 'l' ? 0 : 1;
            $j -= $step === 'u' ? 0 : 1;
            $path[] = [$i, $j];
        }

        return array_reverse($path);
    }
}
