<?php

declare(strict_types=1);

namespace Larkspur\Training;

use Larkspur\Measure\Statistics;

/**
 * Where an operator's scores are heading: the median of each take and the four before it. One take ranks nobody;
 * medians over five rank operators well (docs/scoring.md, section 11).
 */
final class Trend
{
    public const TAKES = 5;

    /**
     * @param  list<float>  $scores  0..100, oldest first
     * @return list<?float> one a score; null while there are fewer than five
     */
    public static function medians(array $scores): array
    {
        $medians = [];
        foreach (array_keys($scores) as $i) {
            $medians[] = $i + 1 < self::TAKES ? null : Statistics::median(array_slice($scores, $i + 1 - self::TAKES, self::TAKES));
        }

        return $medians;
    }
}
