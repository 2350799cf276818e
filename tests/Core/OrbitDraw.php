<?php

declare(strict_types=1);

namespace Tests\Core;

use Demo\Rigs;
use Larkspur\Choreography\Plan;
use Larkspur\Choreography\Planner;
use Larkspur\Choreography\Shot;
use Larkspur\Fields;
use Larkspur\Measure\SeededNoise;
use Larkspur\Refusal;
use Larkspur\Rig\Rig;

/** Feasible orbits drawn from a seed, over every craft and mode: radius, pace, arc, height, ease, way, start and aim. */
final class OrbitDraw
{
    /** @return \Generator<int, Plan> without end */
    public static function feasible(int $seed): \Generator
    {
        $noise = new SeededNoise($seed);
        for ($case = 0; ; $case++) {
            $rig = Rigs::all()[['lapwing', 'curlew', 'wren'][$case % 3]];
            $radius = exp($noise->between(log(4), log(110)));
            // From the fastest pan that does not strobe to one that is hardly seen.
            $turn = $rig['camera']['hfov_deg'] / exp($noise->between(log(7), log(60)));
            $ease = $noise->between(2.2, 5);
            $document = Shots::document([
                'radius_m' => $radius, 'pace_mps' => deg2rad($turn) * $radius,
                'arc_deg' => max(30.0, min(400.0, $turn * ($ease + $noise->between(4, 20)))),
                'height_m' => $noise->between(1.5, min(100, 1.5 * $radius)), 'ease_s' => $ease,
                'direction' => $case % 2 === 0 ? 'clockwise' : 'counterclockwise', 'start_bearing_deg' => $noise->between(0, 359),
            ], ['rig' => $rig, 'mode' => Rig::MODES[intdiv($case, 3) % 3]]);
            $document['intent']['aim'] = ['x' => $noise->between(0.3, 0.7), 'y' => $noise->between(0.35, 0.65)];
            $document['intent']['camera'] = $rig['camera'];
            try {
                $plan = Planner::plan(Shot::read(Fields::of($document)));
            } catch (Refusal) {
                continue;
            }
            if ($plan->feasible()) {
                yield $plan;
            }
        }
    }
}
