<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

use Larkspur\Camera\FramePoint;
use Larkspur\Camera\View;
use Larkspur\Controls\Axis;
use Larkspur\Geo\LocalFrame;
use Larkspur\Geo\MovingPoint;
use Larkspur\Geo\Position;
use Larkspur\Measure\Angle;
use Larkspur\Measure\Statistics;
use Larkspur\Move\Intent;
use Larkspur\Move\Judging\Role;
use Larkspur\Move\MovePlan;

/**
 * How far the foot and the top of a subject lie beyond the lower and the upper edge of the frame, where its plan keeps them inside. The
 * foot stands in the intent; the top is as far above the aimed-at point as the foot below it (one aims at the middle).
 */
final readonly class FrameEdge
{
    /** A subject lower than this has neither, m. */
    private const FLAT = 0.5;

    private const STRAIGHT_DOWN = -75.0 * Angle::DEGREE;

    /** What a receiver may be off, m: it is given the benefit of it. */
    private const WANDER = 0.5;

    /** Nodes of the plan between those looked at. */
    private const STRIDE = 10;

    /**
     * @param  ?list<float>  $foot  share of the frame's height beyond its lower edge, per node from first motion to last, 0 inside; null
     *     where the plan itself cuts it
     * @param  ?list<float>  $top  beyond the upper edge
     */
    private function __construct(public ?array $foot, public ?array $top)
    {
    }

    /** Null where nobody knows how tall the subject is, what was planned, or where the lens looked. */
    public static function of(Take $take, Intent $intent, ?MovePlan $plan, LocalFrame $frame): ?self
    {
        $known = array_filter(
            [Axis::Climb, Axis::Turn, Axis::Tilt], static fn (Axis $axis): bool => $take->judging->role($axis) === Role::Free,
        ) === [];
        if (
            $plan === null || $intent->subject === null || $intent->subjectBase === null || ! $known || $take->judging->straightDown
            || $intent->subject->altitude - $intent->subjectBase < self::FLAT
            || ($take->subject === null && ($plan->subject?->moves() ?? false))
        ) {
            return null;
        }
        $subject = $take->subject ?? $plan->subject ?? MovingPoint::still($frame->position($intent->subject));
        $half = $intent->subject->altitude - $intent->subjectBase;
        $flown = $planned = [];
        for ($i = $take->main->from; $i <= $take->main->to; $i++) {
            $at = new Position($take->grid->x->value[$i], $take->grid->y->value[$i], $take->grid->z->value[$i]);
            $view = new View($at, $take->grid->heading->value[$i], $take->grid->tilt->value[$i], $take->lens);
            $flown[] = self::beyond($view, $subject, $take->grid->t[$i], $half);
        }
        $flight = $plan->flight;
        for ($k = $flight->indexAt($plan->onset); $k <= $flight->indexAt($plan->stop); $k += self::STRIDE) {
            $view = new View($flight->position($k), $flight->heading[$k], $flight->tilt[$k], $take->lens);
            $planned[] = self::beyond($view, $plan->subject ?? $subject, $flight->t[$k], $half);
        }

        return new self(
            Statistics::greatest(array_column($planned, 0)) > 0 ? null : array_column($flown, 0),
            Statistics::greatest(array_column($planned, 1)) > 0 ? null : array_column($flown, 1),
        );
    }

    /** @return array{float, float} share of the frame's height beyond the lower and the upper edge, 0 inside */
    private static function beyond(View $view, MovingPoint $subject, float $t, float $half): array
    {
        $at = $subject->at($t);
        $middle = $view->project($at);
        // What lies out of the frame as a whole is not cut by it; from straight above it has neither foot nor top.
        if ($middle === null || ! $middle->isInside() || $view->tilt < self::STRAIGHT_DOWN) {
            return [0.0, 0.0];
        }
        $doubt = self::WANDER / $middle->depth / (2 * $view->lens->halfHeight);
        $beyond = static fn (?FramePoint $end, float $way): float => $end === null ? 0.0 : max(0.0, $way * $end->v - 0.5 - $doubt);

        return [
            $beyond($view->project($at->plus(0.0, 0.0, -$half)), -1.0), $beyond($view->project($at->plus(0.0, 0.0, $half)), 1.0),
        ];
    }
}
