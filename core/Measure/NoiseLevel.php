<?php

declare(strict_types=1);

namespace Larkspur\Measure;

/**
 * White noise of a sampled channel from its pseudo-residuals: how far each sample lies from the line through its
 * neighbours (T. Gasser, L. Sroka, C. Jennen-Steinmetz, Biometrika 73 (1986) 625-633), by the median so that
 * manoeuvres don't count.
 */
final class NoiseLevel
{
    private const FEWEST_SAMPLES = 10;

    private const FEWEST_TRIPLES = 8;

    /** Of a longer log every so manieth triple serves: a median of thousands is as good as one of tens of thousands. */
    private const ENOUGH_TRIPLES = 5000;

    /** Triples that span more than this are left out, s. */
    private const WIDEST_TRIPLE = 0.6;

    /**
     * @param  list<float>  $t
     * @param  list<float>  $y
     * @return float standard deviation, within [$least, $most]; $least where too little is known
     */
    public static function of(array $t, array $y, float $least, float $most): float
    {
        $n = count($t);
        if ($n < self::FEWEST_SAMPLES) {
            return $least;
        }
        $residuals = [];
        for ($i = 1, $stride = (int) ceil($n / self::ENOUGH_TRIPLES); $i < $n - 1; $i += $stride) {
            $span = $t[$i + 1] - $t[$i - 1];
            if ($span >= self::WIDEST_TRIPLE || $span <= 0) {
                continue;
            }
            $a = ($t[$i + 1] - $t[$i]) / $span;
            $b = 1 - $a;
            $residuals[] = abs(($a * $y[$i - 1] + $b * $y[$i + 1] - $y[$i]) / sqrt($a * $a + $b * $b + 1));
        }
        if (count($residuals) < self::FEWEST_TRIPLES) {
            return $least;
        }

        // 1.4826 turns the median of |e| into a standard deviation for Gaussian noise.
        return max($least, min($most, 1.4826 * Statistics::median($residuals)));
    }
}
