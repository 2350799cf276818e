<?php

declare(strict_types=1);

namespace Larkspur\TakeAlong;

use Larkspur\Choreography\Plan;
use Larkspur\Fact;

/** The cues of a shot as WebVTT (W3C): each stands until the next is said, so that a recording or a rehearsal can speak them. */
final class CueVtt
{
    /** The last cue is read for so long, s; no cue for less than the least. */
    private const LAST = 3.0;

    private const LEAST = 0.2;

    /** @param  callable(Fact): string  $say */
    public static function of(Plan $plan, string $title, callable $say): string
    {
        $cues = $plan->cues();
        $out = 'WEBVTT '.self::escaped(str_replace('-->', '->', $title))."\n\n";
        foreach ($cues as $k => $cue) {
            $next = array_values(array_filter($cues, static fn ($other): bool => $other->t > $cue->t + self::LEAST));
            $end = $next === [] ? $cue->t + self::LAST : $next[0]->t;
            $out .= sprintf(
                "cue-%d\n%s --> %s\n%s\n\n", $k + 1, self::time($cue->t), self::time(max($cue->t + self::LEAST, $end)),
                self::escaped(str_replace('-->', '->', $say($cue->text))),
            );
        }

        return $out;
    }

    private static function escaped(string $text): string
    {
        return str_replace(['&', '<', '>', "\n"], ['&amp;', '&lt;', '&gt;', ' '], $text);
    }

    private static function time(float $seconds): string
    {
        $ms = (int) round(1000 * max(0.0, $seconds));

        return sprintf('%02d:%02d:%02d.%03d', intdiv($ms, 3600000), intdiv($ms, 60000) % 60, intdiv($ms, 1000) % 60, $ms % 1000);
    }
}
