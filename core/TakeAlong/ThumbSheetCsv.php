<?php

declare(strict_types=1);

namespace Larkspur\TakeAlong;

use Larkspur\Choreography\Plan;
use Larkspur\Fact;
use Larkspur\Measure\Series;

/**
 * A thumb sheet as CSV (RFC 4180): seconds since the start of recording, each finger's travel -1 to +1, and what is said at that moment.
 */
final class ThumbSheetCsv
{
    /** Samples of 0.02 s between rows. */
    private const STRIDE = 5;

    /** @param  callable(Fact): string  $say */
    public static function of(Plan $plan, callable $say): string
    {
        $keep = Series::stride($plan->move->flight->count(), self::STRIDE);
        $times = Series::at($plan->sheet->t, $keep);
        $fingers = array_map(static fn (array $travel): array => Series::at($travel, $keep), $plan->sheet->travel);
        $cues = $plan->cues();
        $out = implode(',', ['t', ...array_keys($fingers), 'cue'])."\r\n";
        foreach ($times as $k => $t) {
            $said = [];
            while ($cues !== [] && $cues[0]->t <= $t + 1e-9) {
                $said[] = $say(array_shift($cues)->text);
            }
            $cells = [number_format($t, 2, '.', '')];
            foreach ($fingers as $travel) {
                $cells[] = number_format(round($travel[$k], 4) + 0.0, 4, '.', '');
            }
            $text = implode(' ', $said);
            $cells[] = $text === '' ? '' : '"'.str_replace('"', '""', $text).'"';
            $out .= implode(',', $cells)."\r\n";
        }

        return $out;
    }
}
