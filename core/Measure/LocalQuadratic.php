<?php

declare(strict_types=1);

namespace Larkspur\Measure;

/**
 * Local quadratic regression with tricube weights: value, rate and acceleration of unevenly sampled channels at
 * evenly spaced nodes (an irregular-sample Savitzky-Golay filter; W. S. Cleveland, J. Am. Stat. Assoc. 74 (1979)
 * 829-836).
 *
 * At node tn the samples |t - tn| < W enter with u = (t - tn) / W and w = (1 - |u|^3)^3; the 3x3 normal equations
 * give c0 + c1 u + c2 u^2, so value = c0, rate = c1 / W, acceleration = 2 c2 / W^2. Each of these is a weighted sum
 * of samples, sum l_i y_i, and the noise gain sqrt(sum l_i^2) tells what white noise of the samples does to it.
 * With fewer than five samples in the window, W grows by 1.3, up to seven times; in a longer gap the nearest five serve.
 */
final class LocalQuadratic
{
    private const FEWEST = 5;

    private const GROWTH = 1.3;

    private const GROWTHS = 7;

    /**
     * Value, rate and acceleration.
     *
     * @param  list<float>  $t  rising
     * @param  list<list<float>>  $channels  each as long as $t
     * @param  list<float>  $nodes  rising, within the span of $t
     * @param  list<int>  $counts  how many samples each entry stands for (Bins); empty for one each
     * @return array{list<array{list<float>, list<float>, list<float>}>, array{list<float>, list<float>, list<float>}}
     * per channel value, rate, acceleration; then the three gains
     */
    public static function fit(array $t, array $channels, array $nodes, float $halfWidth, array $counts = []): array
    {
        $fits = array_fill(0, count($channels), [[], [], []]);
        $g0 = $g1 = $g2 = [];
        foreach (self::windows($t, $nodes, $halfWidth, true, $counts) as [$low, $l0, $l1, $l2, $gains]) {
            [$g0[], $g1[], $g2[]] = $gains;
            $m = count($l0);
            foreach ($channels as $c => $y) {
                $value = $rate = $accel = 0.0;
                for ($j = 0, $i = $low; $j < $m; $j++, $i++) {
                    $sample = $y[$i];
                    $value += $l0[$j] * $sample;
                    $rate += $l1[$j] * $sample;
                    $accel += $l2[$j] * $sample;
                }
                $fits[$c][0][] = $value;
                $fits[$c][1][] = $rate;
                $fits[$c][2][] = $accel;
            }
        }

        return [$fits, [$g0, $g1, $g2]];
    }

    /**
     * Rates only, for the wide kernels whose values nobody reads.
     *
     * @param  list<float>  $t
     * @param  list<list<float>>  $channels
     * @param  list<float>  $nodes
     * @param  list<int>  $counts
     * @return array{list<list<float>>, list<float>} rate per channel, and its gain
     */
    public static function rates(array $t, array $channels, array $nodes, float $halfWidth, array $counts = []): array
    {
        $rates = array_fill(0, count($channels), []);
        $g1 = [];
        foreach (self::windows($t, $nodes, $halfWidth, false, $counts) as [$low, , $l1, , $gains]) {
            $g1[] = $gains[1];
            $m = count($l1);
            foreach ($channels as $c => $y) {
                $rate = 0.0;
                for ($j = 0, $i = $low; $j < $m; $j++, $i++) {
                    $rate += $l1[$j] * $y[$i];
                }
                $rates[$c][] = $rate;
            }
        }

        return [$rates, $g1];
    }

    /**
     * The weights of every node: first sample of its window, the three rows l0, l1, l2, and their gains.
     *
     * Even time steps meet the same few windows over and over; those are worked out once. The last bin of gathered
     * samples may hold fewer than the others, so windows that reach it are worked out for themselves.
     *
     * @param  list<float>  $t
     * @param  list<float>  $nodes
     * @param  list<int>  $counts
     * @return \Generator<int, array{int, list<float>, list<float>, list<float>, array{float, float, float}}>
     */
    private static function windows(array $t, array $nodes, float $halfWidth, bool $full, array $counts): \Generator
    {
        $n = count($t);
        if ($counts === []) {
            $counts = array_fill(0, $n, 1);
        }
        $same = $n - ($n > 1 && $counts[$n - 1] !== $counts[0] ? 1 : 0);
        $even = self::isEven(array_slice($t, 0, $same)) && count(array_unique(array_slice($counts, 0, $same))) === 1;
        $known = [];
        $low = $high = 0;
        foreach ($nodes as $node) {
            $width = $halfWidth;
            while ($low < $n && $t[$low] <= $node - $width) {
                $low++;
            }
            while ($high < $n && $t[$high] < $node + $width) {
                $high++;
            }
            $from = $low;
            $to = $high;
            for ($grown = 0; $to - $from < self::FEWEST && $grown < self::GROWTHS; $grown++) {
                $width *= self::GROWTH;
                while ($from > 0 && $t[$from - 1] > $node - $width) {
                    $from--;
                }
                while ($to < $n && $t[$to] < $node + $width) {
                    $to++;
                }
            }
            if ($to - $from < self::FEWEST) {
                [$from, $to] = self::nearest($t, $node, $from);
                $width = 1.01 * max(1e-6, $node - $t[$from], $t[$to - 1] - $node);
            }
            $key = $even && $to > $from && $to <= $same ? ((int) round(($t[$from] - $node) * 1e6)) * 4096 + ($to - $from) : null;
            if ($key === null || ! isset($known[$key])) {
                $rows = self::rows($t, $from, $to, $node, $width, $full, $counts);
                if ($key !== null) {
                    $known[$key] = $rows;
                }
            } else {
                $rows = $known[$key];
            }
            yield [$from, $rows[0], $rows[1], $rows[2], $rows[3]];
        }
    }

    /**
     * @param  list<float>  $t
     * @param  list<int>  $counts
     * @return array{list<float>, list<float>, list<float>, array{float, float, float}}
     */
    private static function rows(array $t, int $from, int $to, float $node, float $width, bool $full, array $counts): array
    {
        $w = $places = [];
        $s0 = $s1 = $s2 = $s3 = $s4 = 0.0;
        for ($i = $from; $i < $to; $i++) {
            $u = ($t[$i] - $node) / $width;
            $a = abs($u);
            $k = 1.0 - $a * $a * $a;
            $k = $k * $k * $k * $counts[$i];
            $ku = $k * $u;
            $kuu = $ku * $u;
            $w[] = $k;
            $places[] = $u;
            $s0 += $k;
            $s1 += $ku;
            $s2 += $kuu;
            $s3 += $kuu * $u;
            $s4 += $kuu * $u * $u;
        }
        // The symmetric 3x3 inverse, with a ridge far below the samples' weight against windows of identical times.
        $ridge = 1e-12 * max($s0, 1e-6);
        $a00 = $s0 + $ridge;
        $a11 = $s2 + $ridge;
        $a22 = $s4 + $ridge;
        $c00 = $a11 * $a22 - $s3 * $s3;
        $c01 = $s2 * $s3 - $s1 * $a22;
        $c02 = $s1 * $s3 - $s2 * $a11;
        $c11 = $a00 * $a22 - $s2 * $s2;
        $c12 = $s1 * $s2 - $a00 * $s3;
        $c22 = $a00 * $a11 - $s1 * $s1;
        $determinant = $a00 * $c00 + $s1 * $c01 + $s2 * $c02;
        $inverse = $determinant === 0.0 ? 0.0 : 1 / $determinant;
        $first = $inverse / $width;
        $second = 2 * $inverse / ($width * $width);
        $l0 = $l1 = $l2 = [];
        $q0 = $q1 = $q2 = 0.0;
        if (! $full) {
            [$b0, $b1, $b2] = [$first * $c01, $first * $c11, $first * $c12];
            foreach ($w as $j => $k) {
                $u = $places[$j];
                $b = $k * ($b0 + $u * ($b1 + $u * $b2));
                $l1[] = $b;
                // The mean of n samples has an n-th of their variance.
                $q1 += $b * $b / $counts[$from + $j];
            }

            return [$l0, $l1, $l2, [0.0, sqrt($q1), 0.0]];
        }
        foreach ($w as $j => $k) {
            $u = $places[$j];
            $a = $inverse * $k * ($c00 + $u * ($c01 + $u * $c02));
            $b = $first * $k * ($c01 + $u * ($c11 + $u * $c12));
            $c = $second * $k * ($c02 + $u * ($c12 + $u * $c22));
            $l0[] = $a;
            $l1[] = $b;
            $l2[] = $c;
            $share = 1 / $counts[$from + $j];
            $q0 += $a * $a * $share;
            $q1 += $b * $b * $share;
            $q2 += $c * $c * $share;
        }

        return [$l0, $l1, $l2, [sqrt($q0), sqrt($q1), sqrt($q2)]];
    }

    /**
     * The five samples nearest to a node, or all where there are fewer.
     *
     * @param  list<float>  $t
     * @param  int  $about  where to look
     * @return array{int, int} first, and one past the last
     */
    private static function nearest(array $t, float $node, int $about): array
    {
        $n = count($t);
        $from = $to = max(0, min($n, $about));
        while ($to - $from < min($n, self::FEWEST)) {
            if ($to >= $n || ($from > 0 && $node - $t[$from - 1] <= $t[$to] - $node)) {
                $from--;
            } else {
                $to++;
            }
        }

        return [$from, $to];
    }

    /**
     * Whether all time steps are the same to a millionth of a second.
     *
     * @param  list<float>  $t
     */
    public static function isEven(array $t): bool
    {
        $n = count($t);
        if ($n < 3) {
            return false;
        }
        $step = ($t[$n - 1] - $t[0]) / ($n - 1);
        for ($i = 1; $i < $n; $i++) {
            if (abs($t[$i] - $t[$i - 1] - $step) > 1e-6) {
                return false;
            }
        }

        return true;
    }
}
