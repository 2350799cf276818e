<?php

declare(strict_types=1);

namespace Larkspur\Scoring\Path;

use Larkspur\Measure\Angle;
use Larkspur\Measure\Statistics;
use Larkspur\Scoring\Grid;
use Larkspur\Scoring\NoiseCorrected;
use Larkspur\Scoring\Span;

/** A path round a subject: along it is tangential, off it is radial. */
final readonly class CirclePath implements FlownPath
{
    /** Slow wander of a satellite position that is nobody's fault, m. */
    public const WALK = 0.35;

    /** @var list<float> distance from the subject over the ground, m, per node */
    public array $distance;

    /** @var list<float> unit vector along the path, clockwise positive: east part, per node */
    private array $alongEast;

    /** @var list<float> north part */
    private array $alongNorth;

    /**
     * @param  list<float>  $dx  subject minus craft, east, per node
     * @param  list<float>  $dy  north
     * @param  float  $centreX  subject in the local frame, east, m
     * @param  float  $way  +1 clockwise seen from above, -1 the other way
     * @param  float  $widening  by which the radius was meant to grow over the whole way, m
     */
    public function __construct(
        private Grid $grid,
        private array $dx,
        private array $dy,
        private float $centreX,
        private float $centreY,
        private float $way,
        private float $widening = 0.0,
    ) {
        $distance = $east = $north = [];
        foreach ($dx as $i => $x) {
            $distance[] = $ground = hypot($x, $dy[$i]);
            $r = max(1.0, $ground);
            $east[] = -$dy[$i] / $r;
            $north[] = $x / $r;
        }
        $this->distance = $distance;
        $this->alongEast = $east;
        $this->alongNorth = $north;
    }

    public function speed(): array
    {
        return $this->along($this->grid->x->rate, $this->grid->y->rate);
    }

    public function steadySpeed(): array
    {
        return $this->along($this->grid->x->steady, $this->grid->y->steady);
    }

    public function acceleration(): array
    {
        return $this->along($this->grid->x->acceleration, $this->grid->y->acceleration);
    }

    /**
     * @param  list<float>  $x
     * @param  list<float>  $y
     * @return list<float>
     */
    private function along(array $x, array $y): array
    {
        $along = [];
        foreach ($x as $i => $east) {
            $along[] = $this->way * ($east * $this->alongEast[$i] + $y[$i] * $this->alongNorth[$i]);
        }

        return $along;
    }

    public function rawDistance(Span $span): array
    {
        $radius = Statistics::median(array_slice($this->distance, $span->holdFrom, $span->holdTo - $span->holdFrom + 1));
        $bearings = [];
        foreach ($this->grid->samples->x as $i => $x) {
            $bearings[] = atan2($x - $this->centreX, $this->grid->samples->y[$i] - $this->centreY);
        }

        return array_map(fn (float $bearing): float => $this->way * $bearing * $radius, Angle::unwrap($bearings));
    }

    public function stray(Span $span): array
    {
        $length = $span->holdTo - $span->holdFrom + 1;
        $radius = array_slice($this->distance, $span->holdFrom, $length);
        $time = array_slice($this->grid->t, $span->holdFrom, $length);
        $noise = $this->grid->x->sigma * Statistics::mean(array_slice($this->grid->x->g0, $span->holdFrom, $length));
        $slope = Statistics::slope($time, $radius);
        // A spiral is measured about its own widening, and drifts only by what differs from the planned one.
        $about = $this->widening === 0.0 ? $radius : array_map(static fn (float $r, float $t): float => $r - $slope * $t, $radius, $time);
        $planned = $this->widening * ($time[$length - 1] - $time[0]) / max(
            0.1, $this->grid->t[$span->to] - $this->grid->t[$span->from] - ($this->grid->t[$span->holdFrom] - $this->grid->t[$span->from]),
        );

        return [
            'wander' => NoiseCorrected::value(Statistics::variance($about), $noise ** 2 + self::WALK ** 2),
            'drift' => max(0.0, abs($slope * ($time[$length - 1] - $time[0]) - $planned) - 2 * self::WALK),
            'over' => max(1.0, Statistics::mean($radius)),
        ];
    }

    /** The radius, less what a spiral was meant to gain. */
    public function off(array $east, array $north, Span $span): array
    {
        $off = [];
        foreach ($east as $i => $x) {
            $node = $span->from + $i;
            $subjectEast = $this->grid->x->value[$node] + $this->dx[$node];
            $subjectNorth = $this->grid->y->value[$node] + $this->dy[$node];
            $off[] = hypot($x - $subjectEast, $north[$i] - $subjectNorth) - $this->widening * $i / max(1, $span->to - $span->from);
        }

        return $off;
    }

    /** Mean radius over the hold, m. */
    public function meanRadius(Span $span): float
    {
        return Statistics::mean(array_slice($this->distance, $span->holdFrom, $span->holdTo - $span->holdFrom + 1));
    }

    /** Arc flown from first motion to last, rad. */
    public function extent(Span $span): float
    {
        $bearings = [];
        for ($i = $span->from; $i <= $span->to; $i++) {
            $bearings[] = atan2(-$this->dx[$i], -$this->dy[$i]);
        }
        $bearings = Angle::unwrap($bearings);

        return abs($bearings[count($bearings) - 1] - $bearings[0]);
    }
}
