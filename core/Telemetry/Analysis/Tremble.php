<?php

declare(strict_types=1);

namespace Larkspur\Telemetry\Analysis;

use Larkspur\Controls\Finger;
use Larkspur\Measure\Statistics;
use Larkspur\Telemetry\FlightLog;

/**
 * How much the operator's fingers tremble while they hold: from the stick columns of a take, travel, one standard deviation.
 *
 * Held is what stays out of the centre; trembling is what departs from the mean of half a second, which a slow change of
 * the hold does not.
 */
final class Tremble
{
    /** A finger that is less far out lies in the stick's own detent. */
    private const OUT = 0.08;

    private const AVERAGED = 0.5;

    /** Samples of holding that tell anything. */
    private const LEAST = 30;

    /** @return ?float null where the log has no sticks, or none that holds */
    public static function of(FlightLog $log, float $from, float $to): ?float
    {
        $part = $log->between($from, $to);
        $rate = $part->count() > 3 ? $part->rate() : 0.0;
        $width = 2 * (int) round(self::AVERAGED * $rate / 2) + 1;
        if ($width < 5) {
            return null;
        }
        $all = [];
        foreach (Finger::cases() as $finger) {
            $x = $part->column('stick_'.$finger->value);
            if (count($x) < self::LEAST || abs(Statistics::median($x)) < self::OUT) {
                continue;
            }
            $mean = Statistics::movingAverage($x, $width);
            $left = [];
            for ($i = intdiv($width, 2), $n = count($x) - intdiv($width, 2); $i < $n; $i++) {
                if (abs($mean[$i]) > self::OUT) {
                    $left[] = $x[$i] - $mean[$i];
                }
            }
            if (count($left) >= self::LEAST) {
                // A sample is part of its own mean, which takes a share of the tremble away; kicks are no tremble.
                $all[] = 1.4826 * Statistics::median(array_map(abs(...), $left)) * sqrt($width / ($width - 1));
            }
        }

        return $all === [] ? null : Statistics::median($all);
    }
}
