<?php

declare(strict_types=1);

namespace Larkspur\Scoring\AsPlanned;

use Larkspur\Geo\MovingPoint;
use Larkspur\Geo\Position;
use Larkspur\Measure\Angle;
use Larkspur\Measure\Series;
use Larkspur\Measure\Statistics;
use Larkspur\Move\MovePlan;
use Larkspur\Scoring\Grid;
use Larkspur\Scoring\Take;

/**
 * One pass of a move, from its first motion to its last, planned or flown: so that both are measured by the same rule. Metres, radians,
 * seconds; lists have one value per sample.
 */
final readonly class Pass
{
    /** Seconds at either end over which a heading or a tilt is taken. */
    private const AT_AN_END = 0.5;

    /** Seconds over which a rate is taken. */
    private const RATE = 1.0;

    /**
     * @param  list<float>  $east
     * @param  list<float>  $north
     * @param  list<float>  $up
     * @param  list<float>  $heading  without jumps
     * @param  list<float>  $tilt
     * @param  list<float>  $t
     * @param  int  $holdFrom  sample at which the hold begins
     */
    private function __construct(
        public array $t,
        public array $east,
        public array $north,
        public array $up,
        public array $heading,
        public array $tilt,
        public int $holdFrom,
        public int $holdTo,
        public ?MovingPoint $subject,
    ) {
    }

    /** The plan as it would be flown, by the tenth of a second. */
    public static function ofPlan(MovePlan $plan): self
    {
        $flight = $plan->flight;
        $from = $flight->indexAt($plan->onset);
        $stride = (int) round(Grid::STEP / MovePlan::STEP);
        $nodes = range($from, max($from, $flight->indexAt($plan->stop)), $stride);
        $at = static fn (float $t): int => (int) max(0, min(count($nodes) - 1, round(($flight->indexAt($t) - $from) / $stride)));

        return new self(
            Series::at($flight->t, $nodes), Series::at($flight->east, $nodes), Series::at($flight->north, $nodes),
            Series::at($flight->up, $nodes), Series::at($flight->heading, $nodes), Series::at($flight->tilt, $nodes),
            $at($plan->holdFrom), $at($plan->holdTo), $plan->subject,
        );
    }

    public static function ofTake(Take $take): self
    {
        $grid = $take->grid;

        return new self(
            $take->moving($grid->t), $take->moving($grid->x->value), $take->moving($grid->y->value), $take->moving($grid->z->value),
            $take->moving($grid->heading->value), $take->moving($grid->tilt->value),
            $take->main->holdFrom - $take->main->from, $take->main->holdTo - $take->main->from, $take->subject,
        );
    }

    public function start(): Position
    {
        return new Position($this->east[0], $this->north[0], $this->up[0]);
    }

    public function end(): Position
    {
        $last = count($this->t) - 1;

        return new Position($this->east[$last], $this->north[$last], $this->up[$last]);
    }

    /** From first motion to last along the way over the ground, m. */
    public function length(): float
    {
        return $this->end()->minus($this->start())->ground();
    }

    /** Direction from the first place to the last, over the ground. */
    public function course(): float
    {
        return $this->end()->minus($this->start())->bearing();
    }

    public function climb(): float
    {
        return $this->end()->up - $this->start()->up;
    }

    /** Mean distance over the ground from the subject while it is held; null without a subject. */
    public function distance(): ?float
    {
        return $this->subject === null ? null : Statistics::mean($this->distances($this->holdFrom, $this->holdTo));
    }

    /** Distance over the ground from the subject at the end. */
    public function lastDistance(): ?float
    {
        $last = count($this->t) - 1;

        return $this->subject === null ? null : Statistics::mean($this->distances(max(0, $last - 3), $last));
    }

    /** Angle that was gone round the subject, clockwise positive; null without a subject. */
    public function arc(): ?float
    {
        if ($this->subject === null) {
            return null;
        }
        $bearings = Angle::unwrap(array_map(fn (int $i): float => $this->away($i)->bearing(), array_keys($this->t)));

        return $bearings[count($bearings) - 1] - $bearings[0];
    }

    /** Side of the subject's course on which the craft was: +1 to the right of it, -1 to the left; null without a subject that moves. */
    public function side(): ?float
    {
        if ($this->subject === null || ! $this->subject->moves()) {
            return null;
        }
        $course = $this->subject->at($this->t[count($this->t) - 1])->minus($this->subject->at($this->t[0]))->bearing();
        $middle = $this->away(intdiv($this->holdFrom + $this->holdTo, 2));

        return sin($middle->bearing() - $course) >= 0 ? 1.0 : -1.0;
    }

    /** Height at which it begins, in the frame's own datum. */
    public function height(): float
    {
        return Statistics::median(array_slice($this->up, 0, $this->atAnEnd()));
    }

    public function firstHeading(): float
    {
        return Statistics::median(array_slice($this->heading, 0, $this->atAnEnd()));
    }

    /** By how much the heading changed, clockwise positive. */
    public function turn(): float
    {
        return Statistics::median(array_slice($this->heading, -$this->atAnEnd())) - $this->firstHeading();
    }

    public function firstTilt(): float
    {
        return Statistics::median(array_slice($this->tilt, 0, $this->atAnEnd()));
    }

    public function lastTilt(): float
    {
        return Statistics::median(array_slice($this->tilt, -$this->atAnEnd()));
    }

    /** Angle between where it flew and where it looked, right positive, at the middle of the hold. */
    public function across(): float
    {
        $middle = intdiv($this->holdFrom + $this->holdTo, 2);

        return Angle::wrap($this->course() - $this->heading[$middle]);
    }

    /**
     * What run and slide have to do with the way over the ground while it is held: the median speed of either over that of the craft.
     *
     * @return array{run: float, slide: float}
     */
    public function shares(): array
    {
        $run = $slide = $pace = [];
        for ($i = $this->holdFrom; $i < $this->holdTo; $i++) {
            $east = $this->east[$i + 1] - $this->east[$i];
            $north = $this->north[$i + 1] - $this->north[$i];
            $run[] = abs($east * sin($this->heading[$i]) + $north * cos($this->heading[$i]));
            $slide[] = abs($east * cos($this->heading[$i]) - $north * sin($this->heading[$i]));
            $pace[] = hypot($east, $north);
        }
        $all = max(1e-9, Statistics::median($pace));

        return ['run' => Statistics::median($run) / $all, 'slide' => Statistics::median($slide) / $all];
    }

    /** Seconds from the way over the ground to the turn: when either first had half of what it held; null where one of them never moves. */
    public function lead(): ?float
    {
        $way = $this->halfWay(fn (int $a, int $b): float => hypot($this->east[$b] - $this->east[$a], $this->north[$b] - $this->north[$a]));
        $turn = $this->halfWay(fn (int $a, int $b): float => abs($this->heading[$b] - $this->heading[$a]));

        return $way === null || $turn === null ? null : $turn - $way;
    }

    /**
     * When something first goes at half the rate that it is held at, s.
     *
     * @param  callable(int, int): float  $gone  by how much it goes on between two samples
     */
    private function halfWay(callable $gone): ?float
    {
        $width = (int) round(self::RATE / Grid::STEP / 2);
        $rates = $held = [];
        for ($i = $width; $i < count($this->t) - $width; $i++) {
            $rates[$i] = $gone($i - $width, $i + $width) / max(1e-9, $this->t[$i + $width] - $this->t[$i - $width]);
            if ($i >= $this->holdFrom && $i <= $this->holdTo) {
                $held[] = $rates[$i];
            }
        }
        $half = Statistics::median($held) / 2;
        foreach ($rates as $i => $rate) {
            if ($half > 0 && $rate >= $half) {
                return $this->t[$i];
            }
        }

        return null;
    }

    /** Mean speed over the ground while it is held, m/s. */
    public function pace(): float
    {
        return $this->wayBetween($this->holdFrom, $this->holdTo) / $this->held();
    }

    /** Way over the ground, bends and all, m. */
    public function way(): float
    {
        return $this->wayBetween(0, count($this->t) - 1);
    }

    private function wayBetween(int $from, int $to): float
    {
        $way = 0.0;
        for ($i = $from; $i < $to; $i++) {
            $way += hypot($this->east[$i + 1] - $this->east[$i], $this->north[$i + 1] - $this->north[$i]);
        }

        return $way;
    }

    /** The part of it between two times, s: at least one sample. */
    public function between(float $from, float $to): self
    {
        $first = 0;
        $last = count($this->t) - 1;
        while ($first < $last && $this->t[$first] < $from - Grid::STEP / 2) {
            $first++;
        }
        while ($last > $first && $this->t[$last] > $to + Grid::STEP / 2) {
            $last--;
        }
        $part = range($first, $last);

        return new self(
            Series::at($this->t, $part), Series::at($this->east, $part), Series::at($this->north, $part), Series::at($this->up, $part),
            Series::at($this->heading, $part), Series::at($this->tilt, $part), 0, $last - $first, $this->subject,
        );
    }

    /** Mean rate of climb while it is held, m/s, upward or downward. */
    public function climbRate(): float
    {
        return abs($this->up[$this->holdTo] - $this->up[$this->holdFrom]) / $this->held();
    }

    /** Mean rate of turn while it is held, rad/s, either way. */
    public function spin(): float
    {
        return abs($this->heading[$this->holdTo] - $this->heading[$this->holdFrom]) / $this->held();
    }

    /** How far it reached along its first heading, across it and upward, m. */
    public function reach(): Reach
    {
        $heading = $this->firstHeading();
        $ahead = $aside = [];
        foreach ($this->east as $i => $east) {
            $ahead[] = $east * sin($heading) + $this->north[$i] * cos($heading);
            $aside[] = $east * cos($heading) - $this->north[$i] * sin($heading);
        }

        return new Reach(Statistics::span($ahead), Statistics::span($aside), Statistics::span($this->up));
    }

    /** Twice the area that was gone round, clockwise positive, m2: of a figure that closes. */
    public function gone(): float
    {
        $area = 0.0;
        for ($i = 1, $n = count($this->t); $i < $n; $i++) {
            $area += ($this->east[$i] - $this->east[0]) * ($this->north[$i - 1] - $this->north[0])
                - ($this->east[$i - 1] - $this->east[0]) * ($this->north[$i] - $this->north[0]);
        }

        return $area;
    }

    private function held(): float
    {
        return max(Grid::STEP, $this->t[$this->holdTo] - $this->t[$this->holdFrom]);
    }

    private function atAnEnd(): int
    {
        return (int) max(1, min(count($this->t), round(self::AT_AN_END / Grid::STEP)));
    }

    private function away(int $i): Position
    {
        $subject = $this->subject?->at($this->t[$i]) ?? new Position(0, 0, 0);

        return new Position($this->east[$i] - $subject->east, $this->north[$i] - $subject->north, $this->up[$i] - $subject->up);
    }

    /** @return non-empty-list<float> */
    private function distances(int $from, int $to): array
    {
        return array_map(fn (int $i): float => $this->away($i)->ground(), range($from, max($from, $to)));
    }
}
