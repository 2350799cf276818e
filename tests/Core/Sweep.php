<?php

declare(strict_types=1);

namespace Tests\Core;

use Larkspur\Choreography\Plan;
use Larkspur\Flight\Aircraft;
use Larkspur\Flight\Recorder;
use Larkspur\Refusal;
use Larkspur\Scoring\Scorer;

use function Tests\said;

/** One plan's sheet flown in still air by the simulated craft, and judged: how far from the plan, and what score. */
final class Sweep
{
    /** @return array{error: float, score: float, words: string} error as a share of the flight's size */
    public static function fly(Plan $plan): array
    {
        $planned = $plan->move->flight;
        $flown = Aircraft::flySheet($plan->sheet, $planned, $plan->shot->rig, $plan->shot->tune());
        $size = 1.0;
        $error = 0.0;
        for ($i = 0, $n = $planned->count(); $i < $n; $i += 10) {
            $size = max($size, $planned->position($i)->minus($planned->position(0))->length());
            $error = max($error, $flown->position($i)->minus($planned->position($i))->length());
        }
        $log = (new Recorder)->record($flown, $plan->shot->site->frame());
        $words = sprintf(
            '%s %s %s %s', $plan->move->intent->move, json_encode($plan->move->intent->parameters), $plan->shot->rig->craft,
            $plan->shot->mode,
        );
        try {
            $score = Scorer::scoreBetween($log, $plan->move->intent, $plan->move->onset, $plan->move->stop)->score;
        } catch (Refusal $refusal) {
            [$score, $words] = [0.0, said($refusal->fact).' '.$words];
        }

        return ['error' => $error / $size, 'score' => $score, 'words' => $words];
    }
}
