<?php

declare(strict_types=1);

namespace Larkspur\Choreography;

use Larkspur\Controls\Finger;

/**
 * Between which values a parameter keeps the plan comfortable, the others left as they are: the green stretch of a dial.
 *
 * Rates grow in proportion to the pace, and the turn falls with the radius, so both ends follow from the curves.
 */
final class ComfortRanges
{
    /** @return array<string, array{float, float}> by parameter id, in the parameter's unit; empty ranges are left out */
    public static function of(Plan $plan): array
    {
        $intent = $plan->move->intent;
        $mode = $plan->shot->tune();
        $band = $plan->shot->comfort;
        $ranges = ['ease_s' => [Checks::EASE, 2 * Checks::EASE]];
        $pace = $intent->number('pace_mps');
        $radius = $intent->number('radius_m');
        $slowest = 0.0;
        $fastest = INF;
        foreach ($plan->parts as $press) {
            if ($press->rests() || $press->isTouch()) {
                continue;
            }
            $curve = $mode->curve($press->finger);
            $held = $curve->output(abs($press->hold));
            $least = $curve->output($band->least) / $held;
            $most = $curve->output($band->most) / $held;
            $slowest = max($slowest, $least);
            $fastest = min($fastest, $most);
            if ($press->finger === Finger::Turn && $radius !== null) {
                $ranges['radius_m'] = [$radius / $most, $radius / $least];
            }
        }
        $crossing = Checks::crossingSeconds($plan->shot, $plan->move);
        $fastest = min($fastest, $crossing / Checks::CROSSING);
        if ($pace !== null && is_finite($fastest)) {
            $ranges['pace_mps'] = [$pace * $slowest, $pace * $fastest];
        }
        $arc = $intent->number('arc_deg');
        if ($arc !== null) {
            $seconds = $plan->move->holdTo - $plan->move->onset;
            $least = $arc * ($plan->move->holdFrom - $plan->move->onset + Checks::GOOD_HOLD) / max(0.1, $seconds);
            $ranges['arc_deg'] = [$least, max(360.0, $least)];
        }

        return array_map(
            static fn (array $range): array => [round($range[0], 2), round($range[1], 2)],
            array_filter($ranges, static fn (array $range): bool => $range[1] > $range[0]),
        );
    }
}
