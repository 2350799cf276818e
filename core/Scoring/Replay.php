<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

use Larkspur\Choreography\Plan;
use Larkspur\Choreography\ThumbSheet;
use Larkspur\Controls\Axis;
use Larkspur\Controls\Finger;
use Larkspur\Flight;
use Larkspur\Geo\Position;
use Larkspur\Measure\Series;
use Larkspur\Move\Judging\Framed;
use Larkspur\Move\Judging\Role;
use Larkspur\Rig\ModeTune;

/**
 * A judged take laid out for its pictures: the path flown over the path planned, the five staves, the frame trace and
 * the cost of every moment, all on one clock (the log's).
 */
final readonly class Replay
{
    /** More points than this tell the eye nothing, per series. */
    public const MOST_POINTS = 900;

    /**
     * @param  list<int>  $nodes  of the grid that are shown
     * @param  Position  $origin  of the grid in the site's own metres, about take-off
     * @param  list<?float>  $u  where the subject stands in the frame, fractions of its width; null outside the move
     * @param  list<?float>  $v  the same of its height
     * @param  ?array<string, list<float>>  $fingers  travel by finger; null where it can't be known
     * @param  bool  $inferred  whether they were worked out from the motion
     */
    private function __construct(
        public Score $score,
        public array $nodes,
        public Position $origin,
        public array $u,
        public array $v,
        public ?array $fingers,
        public bool $inferred,
        public ?PlannedReplay $planned,
    ) {
    }

    /**
     * @param  ?Plan  $plan  what was planned, where there was a plan
     * @param  ?ModeTune  $mode  the mode it was flown in, where known: fingers that were not recorded are worked out by it
     */
    public static function of(Score $score, ?Plan $plan, ?ModeTune $mode): self
    {
        $take = $score->measured->take;
        $grid = $take->grid;
        $nodes = Series::stride($grid->count(), max(1, (int) ceil($grid->count() / self::MOST_POINTS)));
        // A frame that was not measured shows no mark.
        $framed = in_array($take->judging->framed, [Framed::Subject, Framed::Heading], true);
        $u = $v = [];
        foreach ($nodes as $i) {
            $k = $i - $take->main->from;
            $inside = $framed && $k >= 0 && $i <= $take->main->to;
            $u[] = $inside ? $score->measured->framing->u[$k] + $score->intent->u() : null;
            $v[] = $inside ? $score->measured->framing->v[$k] + $score->intent->v() : null;
        }
        [$fingers, $inferred] = self::flownFingers($score, $nodes, $mode);

        return new self(
            // The grid has an origin of its own; the site's is the take-off point.
            $score, $nodes, $plan?->shot->site->frame()->position($score->frame->origin) ?? new Position(0, 0, 0), $u, $v, $fingers,
            $inferred,
            $plan === null ? null : PlannedReplay::of($plan, $grid->t[$take->main->from] - self::plannedOnset($plan, $take->main->rate)),
        );
    }

    /**
     * A series of the grid at the nodes that are shown.
     *
     * @param  list<float>  $values
     * @return list<float>
     */
    public function shown(array $values): array
    {
        return Series::at($values, $this->nodes);
    }

    /** Whether the log tells where the lens looked. */
    public function knowsHeading(): bool
    {
        return $this->score->assignment->judging->role(Axis::Turn) !== Role::Free;
    }

    public function grid(): Grid
    {
        return $this->score->measured->take->grid;
    }

    /** Where the subject stood when the move began, in the site's own metres. */
    public function subject(): ?Position
    {
        $take = $this->score->measured->take;

        return $take->subject?->at($take->grid->t[$take->main->from])->plus($this->origin->east, $this->origin->north, $this->origin->up);
    }

    /** @return ?list<Position> where a subject that moves was at each node; null where it stood */
    public function subjectTrack(): ?array
    {
        $subject = $this->score->measured->take->subject;
        if ($subject === null || ! $subject->moves()) {
            return null;
        }
        $origin = $this->origin;

        return array_map(
            fn (int $i): Position => $subject->at($this->grid()->t[$i])->plus($origin->east, $origin->north, $origin->up), $this->nodes,
        );
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

    /**
     * What the fingers did: as recorded where that is believed, or worked out from the motion by the inverse of the craft.
     *
     * @param  list<int>  $nodes
     * @return array{?array<string, list<float>>, bool}
     */
    private static function flownFingers(Score $score, array $nodes, ?ModeTune $mode): array
    {
        $grid = $score->measured->take->grid;
        $sticks = $score->measured->sticks;
        if ($sticks !== null && $score->cut->has('stick_slide') && $score->cut->has('stick_turn')) {
            $times = Series::at($grid->t, $nodes);
            $fingers = [];
            foreach (Finger::cases() as $finger) {
                $fingers[$finger->value] = $sticks->at($finger, $times);
            }

            return [$fingers, false];
        }
        if ($mode === null) {
            return [null, true];
        }
        $sheet = ThumbSheet::write(new Flight(
            $grid->t, $grid->x->value, $grid->y->value, $grid->z->value,
            $grid->heading->value, $grid->tilt->value,
        ), $mode);

        return [array_map(static fn (array $travel): array => Series::at($travel, $nodes), $sheet->travel), true];
    }
}
