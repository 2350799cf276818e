<?php

declare(strict_types=1);

namespace Tests\Core;

use Larkspur\Choreography\Plan;
use Larkspur\Flight\Recorder;
use Larkspur\Measure\Angle;
use Larkspur\Measure\Dimension;
use Larkspur\Measure\SeededNoise;
use Larkspur\Move\Intent;
use Larkspur\Refusal;
use Larkspur\Scoring\AsPlanned\PlanFigure;
use Larkspur\Scoring\Score;
use Larkspur\Scoring\Scorer;

/** A textbook flight of one plan judged against another that differs from it in one stated quantity, by so many of its tolerances. */
final readonly class Deviation
{
    /** Which quantity a parameter states, and the parameters that state a place by an angle at a distance. */
    private const STATES = [
        'radius_m' => 'radius', 'arc_deg' => 'arc', 'length_m' => 'length', 'pace_mps' => 'pace', 'climb_mps' => 'climb-rate',
        'spin_dps' => 'spin', 'climb_m' => 'climb', 'height_m' => 'height', 'turn_deg' => 'turn', 'tilt_start_deg' => 'tilt-start',
        'tilt_end_deg' => 'tilt-end', 'heading_deg' => 'heading', 'distance_m' => 'start',
    ];

    private function __construct(public string $parameter, public float $tolerances, public Score $score)
    {
    }

    /**
     * Every quantity of a plan changed once by so many tolerances, up or down as the seed has it.
     *
     * @return \Generator<int, self>
     */
    public static function each(Plan $plan, float $tolerances, int $seed): \Generator
    {
        $noise = SeededNoise::named($seed, $plan->move->intent->move);
        $figures = self::judged($plan, $plan->move->intent, $seed)->plan->figures ?? [];
        $stated = array_column(array_filter($figures, static fn (PlanFigure $one): bool => $one->given()), null, 'id');
        foreach (self::STATES as $parameter => $id) {
            $value = $plan->move->intent->number($parameter);
            $tolerance = $stated[$id]->tolerance ?? null;
            if ($value === null || $tolerance === null) {
                continue;
            }
            $way = $noise->uniform() < 0.5 ? -1.0 : 1.0;
            $unit = in_array($tolerance->dimension, [Dimension::Angle, Dimension::AngularRate], true) ? Angle::DEGREE : 1.0;
            $changed = $value + $way * $tolerances * $tolerance->value / $unit;
            try {
                yield new self(
                    $parameter, $tolerances, self::judged($plan, $plan->move->intent->with([$parameter => $changed]), $seed),
                );
            } catch (Refusal) {
                // A plan that nobody can fly is no plan.
            }
        }
    }

    /** Judges a log of the plan's own flight against an intent. */
    public static function judged(Plan $plan, Intent $intent, int $seed): Score
    {
        $noise = SeededNoise::named($seed, 'deviation');
        $recorder = new Recorder(10.0, $noise->between(0.1, 0.3), $noise->between(0.14, 0.6), 0.3 * Angle::DEGREE, 0.05);
        $log = $recorder->record($plan->move->flight, $plan->shot->site->frame(), $seed);

        return Scorer::scoreBetween($log, $intent, max($log->from(), $plan->move->onset), min($log->to(), $plan->move->stop));
    }
}
