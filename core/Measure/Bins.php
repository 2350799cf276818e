<?php

declare(strict_types=1);

namespace Larkspur\Measure;

/**
 * Samples gathered into short bins, each the mean of its samples with their count: what a wide kernel needs of a fast
 * log, at a fraction of the work.
 */
final readonly class Bins
{
    /**
     * @param  list<float>  $t  mean time of each bin
     * @param  list<list<float>>  $channels  mean of each channel, per bin
     * @param  list<int>  $counts  samples in each bin; empty where nothing was gathered and each sample stands alone
     */
    private function __construct(public array $t, public array $channels, public array $counts)
    {
    }

    /**
     * @param  list<float>  $t  rising
     * @param  list<list<float>>  $channels  each as long as $t
     * @param  float  $width  s; where fewer than two samples with even times, or 1.5 others, would meet in a bin,
     *                        nothing is gathered. Bins of even times are even themselves, but for the last.
     */
    public static function of(array $t, array $channels, float $width): self
    {
        $n = count($t);
        $step = $n < 2 ? INF : ($t[$n - 1] - $t[0]) / ($n - 1);
        $even = LocalQuadratic::isEven($t);
        if ($step > ($even ? $width / 2 + 1e-6 : $width / 1.5)) {
            return new self($t, $channels, []);
        }
        $edges = $even ? range(0, $n - 1, (int) floor($width / $step + 1e-3)) : [0];
        for ($i = 1; ! $even && $i < $n; $i++) {
            if (floor($t[$i] / $width) !== floor($t[$i - 1] / $width)) {
                $edges[] = $i;
            }
        }
        $edges[] = $n;

        return new self(
            self::means($t, $edges), array_map(static fn (array $channel): array => self::means($channel, $edges), $channels),
            self::counts($edges),
        );
    }

    /**
     * @param  list<float>  $values
     * @param  list<int>  $edges  first sample of each bin, then the number of samples
     * @return list<float>
     */
    private static function means(array $values, array $edges): array
    {
        $means = [];
        for ($k = 1, $bins = count($edges); $k < $bins; $k++) {
            $sum = 0.0;
            for ($i = $edges[$k - 1]; $i < $edges[$k]; $i++) {
                $sum += $values[$i];
            }
            $means[] = $sum / ($edges[$k] - $edges[$k - 1]);
        }

        return $means;
    }

    /**
     * @param  list<int>  $edges
     * @return list<int>
     */
    private static function counts(array $edges): array
    {
        $counts = [];
        for ($k = 1, $bins = count($edges); $k < $bins; $k++) {
            $counts[] = $edges[$k] - $edges[$k - 1];
        }

        return $counts;
    }
}
