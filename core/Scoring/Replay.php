<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

use Larkspur\Choreography\Plan;
use Larkspur\Choreography\ThumbSheet;
use Larkspur\Controls\Finger;
use Larkspur\Controls\StickMode;
use Larkspur\Flight;
use Larkspur\Geo\Position;
use Larkspur\Measure\Angle;
use Larkspur\Measure\Series;
use Larkspur\Rig\ModeTune;
use Larkspur\Telemetry\FlightLog;

/**
 * A judged take laid out for its pictures: the path flown over the path planned, the five staves, the frame trace and
 * the cost of every moment, all on one clock (the log's).
 */
final class Replay
{
    /** More points than this tell the eye nothing, per series. */
    private const MOST_POINTS = 900;

    /**
     * @param  ?Plan  $plan  what was planned, where there was a plan
     * @param  ?ModeTune  $mode  the mode it was flown in, where known: fingers that were not recorded are worked out by it
     * @return array<string, mixed> docs/formats.md, "Replay"
     */
    public static function of(Score $score, ?Plan $plan, ?ModeTune $mode, StickMode $sticks): array
    {
        $take = $score->measured->take;
        $grid = $take->grid;
        $stride = max(1, (int) ceil($grid->count() / self::MOST_POINTS));
        $nodes = Series::stride($grid->count(), $stride);
        // The grid has an origin of its own; the site's is the take-off point.
        $origin = $plan?->shot->site->frame()->position($score->frame->origin) ?? new Position(0, 0, 0);
        [$east, $north, $up] = [$origin->east, $origin->north, $origin->up];
        $subject = $take->subject?->at($grid->t[$take->main->from]);

        $u = $v = $cost = [];
        foreach ($nodes as $i) {
            $k = $i - $take->main->from;
            $inside = $k >= 0 && $i <= $take->main->to;
            $u[] = $inside ? round($score->measured->framing->u[$k] + $score->intent->u(), 4) : null;
            $v[] = $inside ? round($score->measured->framing->v[$k] + $score->intent->v(), 4) : null;
            $cost[] = round($score->usable->cost[$i], 3);
        }
        [$fingers, $inferred] = self::flownFingers($score->cut, $take, $nodes, $mode);
        $shift = $plan === null ? 0.0 : $grid->t[$take->main->from] - self::plannedOnset($plan, $take->main->rate);

        return [
            't' => Series::rounded(Series::at($grid->t, $nodes), 2),
            'east_m' => Series::rounded(Series::at($grid->x->value, $nodes), 2, 1.0, $east),
            'north_m' => Series::rounded(Series::at($grid->y->value, $nodes), 2, 1.0, $north),
            'up_m' => Series::rounded(Series::at($grid->z->value, $nodes), 2, 1.0, $up),
            'heading_deg' => Series::rounded(Series::at($grid->heading->value, $nodes), 2, 1 / Angle::DEGREE),
            'tilt_deg' => Series::rounded(Series::at($grid->tilt->value, $nodes), 2, 1 / Angle::DEGREE),
            'u' => $u,
            'v' => $v,
            'cost' => $cost,
            'fingers' => $fingers,
            'fingers_inferred' => $inferred,
            'thumbs' => array_combine(
                array_map(static fn (Finger $finger): string => $finger->value, Finger::cases()),
                array_map(
                    static fn (Finger $finger): array => ['thumb' => $sticks->thumb($finger), 'ends' => $finger->ends()], Finger::cases(),
                ),
            ),
            'camera' => [
                'hfov_deg' => round($score->intent->lens->horizontal / Angle::DEGREE, 3),
                'vfov_deg' => round($score->intent->lens->vertical() / Angle::DEGREE, 3),
                'aspect' => round($score->intent->lens->aspect, 5),
            ],
            'aim' => ['u' => round($score->intent->u(), 4), 'v' => round($score->intent->v(), 4)],
            'subject' => $subject === null ? null : [
                'east_m' => round($subject->east + $east, 2), 'north_m' => round($subject->north + $north, 2),
                'up_m' => round($subject->up + $up, 2),
            ],
            'subject_track' => $take->subject === null || ! $take->subject->moves() ? null : [
                'east_m' => array_map(static fn (int $i): float => round($take->subject->at($grid->t[$i])->east + $east, 2), $nodes),
                'north_m' => array_map(static fn (int $i): float => round($take->subject->at($grid->t[$i])->north + $north, 2), $nodes),
            ],
            'planned' => $plan === null ? null : self::planned($plan, $shift),
        ];
    }

    /** When the planned move would be seen to begin by the same rule as the flown one: at a tenth of its pace. */
    private static function plannedOnset(Plan $plan, float $rate): float
    {
        $flight = $plan->move->flight;
        for ($i = 1, $n = $flight->count(); $i < $n; $i++) {
            if ($flight->position($i)->minus($flight->position($i - 1))->length() > 0.1 * abs($rate) * $plan->sheet->step) {
                return $flight->t[$i];
            }
        }

        return $plan->move->onset;
    }

    /** @return array<string, mixed> */
    private static function planned(Plan $plan, float $shift): array
    {
        $stride = max(5, (int) ceil($plan->move->flight->count() / self::MOST_POINTS));
        $flight = $plan->move->flight->thinned($stride);
        $keep = Series::stride($plan->move->flight->count(), $stride);

        return [
            't' => Series::rounded($flight->t, 2, 1.0, $shift),
            'east_m' => Series::rounded($flight->east, 2),
            'north_m' => Series::rounded($flight->north, 2),
            'up_m' => Series::rounded($flight->up, 2),
            'heading_deg' => Series::rounded($flight->heading, 2, 1 / Angle::DEGREE),
            'fingers' => array_map(
                static fn (array $travel): array => Series::rounded(Series::at($travel, $keep), 3), $plan->sheet->travel,
            ),
            'hold_from_s' => round($plan->move->holdFrom + $shift, 2),
            'hold_to_s' => round($plan->move->holdTo + $shift, 2),
        ];
    }

    /**
     * What the fingers did: as recorded, or worked out from the motion by the inverse of the craft.
     *
     * @param  list<int>  $nodes
     * @return array{?array<string, list<float>>, bool}
     */
    private static function flownFingers(FlightLog $log, Take $take, array $nodes, ?ModeTune $mode): array
    {
        $t = $log->column('t');
        if ($log->has('stick_slide') && $log->has('stick_turn')) {
            $fingers = [];
            foreach (Finger::cases() as $finger) {
                $column = $log->column('stick_'.$finger->value);
                $at = 0;
                $values = [];
                foreach ($nodes as $i) {
                    while ($at < count($t) - 1 && $t[$at + 1] <= $take->grid->t[$i] + 1e-9) {
                        $at++;
                    }
                    $x = $column[$at] ?? 0.0;
                    $values[] = is_nan($x) ? 0.0 : round($x, 3);
                }
                $fingers[$finger->value] = $values;
            }

            return [$fingers, false];
        }
        if ($mode === null) {
            return [null, true];
        }
        $grid = $take->grid;
        $sheet = ThumbSheet::write(new Flight(
            $grid->t, $grid->x->value, $grid->y->value, $grid->z->value,
            $grid->heading->value, $grid->tilt->value,
        ), $mode);

        return [array_map(static fn (array $travel): array => Series::rounded(Series::at($travel, $nodes), 3), $sheet->travel), true];
    }
}
