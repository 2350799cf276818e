<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Take;
use Larkspur\Choreography\Planner;
use Larkspur\Fields;
use Larkspur\Move\Intent;
use Larkspur\Refusal;
use Larkspur\Scoring\Replay;
use Larkspur\Scoring\Scorer;
use Larkspur\Scoring\TakeWindow;

/** Works the pictures of a take out again from its log and its plan. Nothing of them is stored. */
final readonly class ReplayTake
{
    public function __invoke(Take $take): Replay
    {
        $log = $take->log->read();
        $intent = $take->judgement === null ? null : Intent::read(Fields::of($take->judgement->intent));
        $score = Scorer::judge(
            $log, TakeWindow::known($take->from_s, $take->to_s, $take->cut_from_s ?? $log->from(), $take->cut_to_s ?? $log->to()), $intent,
            $take->operator->school->judging(),
        );
        $plan = null;
        // A take is shown with the settings it was flown with, whatever the shot is flown with now.
        $shot = $take->shot?->planned($take->rig);
        if ($shot !== null) {
            try {
                $plan = Planner::plan($shot->withIntent($intent ?? $shot->intent));
            } catch (Refusal) {
                // A shot that has since become impossible still has its take.
            }
        }

        return Replay::of($score, $plan, $shot?->tune());
    }
}
