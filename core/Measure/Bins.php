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
     * @param  float  $width  s; with fewer than two samples a bin on average nothing is gathered
     */
    public static function of(array $t, array $channels, float $width): self
    {
        $n = count($t);
        if ($n < 2 || ($t[$n - 1] - $t[0]) / $n > $width / 1.5) {
            return new self($t, $channels, []);
        }
        $times = $counts = [];
        /** @var list<list<float>> $means */
        $means = array_fill(0, count($channels), []);
        $from = 0;
        while ($from < $n) {
            $bin = floor($t[$from] / $width);
            $to = $from;
            $sum = 0.0;
            while ($to < $n && floor($t[$to] / $width) === $bin) {
                $sum += $t[$to];
                $to++;
            }
            $count = $to - $from;
            $times[] = $sum / $count;
            $counts[] = $count;
            foreach ($channels as $c => $channel) {
                $sum = 0.0;
                for ($i = $from; $i < $to; $i++) {
                    $sum += $channel[$i];
                }
                $means[$c][] = $sum / $count;
            }
            $from = $to;
        }

        return new self($times, $means, $counts);
    }
}
