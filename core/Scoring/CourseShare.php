<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

use Larkspur\Controls\Finger;
use Larkspur\Measure\Lag;
use Larkspur\Measure\LeastSquares;
use Larkspur\Measure\Statistics;

/**
 * How much of the way over the ground the fingers made, and how much the air: of how far a craft left its circle, its line or its spot,
 * and of how its pace rose and fell.
 *
 * What run and slide ask of the craft, and the steady push of the air, are read off the take itself: its velocity over the ground is
 * fitted by least squares to a x + b x^3 of either finger, through a first-order lag and laid along the heading, and a constant to the
 * east and to the north. The way that the fingers ask for is then drawn from where the craft set out, and how it leaves the path
 * is laid beside how the craft did. A thumb that presses too little for its turn leaves the circle though it never moved.
 */
final readonly class CourseShare
{
    /** Time constants of the craft behind its fingers that are tried, s. */
    private const LAGS = [0.0, 0.15, 0.3, 0.45, 0.6];

    /** Nodes over which the fingers are averaged, as the steady rates are. */
    private const SMOOTH = 19;

    /**
     * @param  list<float>  $east  velocity that the fingers ask for, m/s, per node
     * @param  list<float>  $north
     */
    private function __construct(private Take $take, private array $east, private array $north)
    {
    }

    public static function of(Take $take, Sticks $sticks): self
    {
        return new self($take, ...self::asked($take, $sticks));
    }

    /** @return float share of how the path was left: 0 where the fingers made nothing of it, 1 where they made all */
    public function offPath(): float
    {
        [$grid, $span] = [$this->take->grid, $this->take->main];

        return self::share(
            $this->take->path->off($this->take->moving($grid->x->value), $this->take->moving($grid->y->value), $span),
            $this->take->path->off(...$this->drawn(), span: $span),
        );
    }

    /** How far the craft was from where its fingers alone would have had it, m, at a node after first motion. */
    public function pushed(int $node): float
    {
        [$east, $north] = $this->drawn();
        $node = max(0, min($node, count($east) - 1));
        $at = $this->take->main->from + $node;

        return hypot($this->take->grid->x->value[$at] - $east[$node], $this->take->grid->y->value[$at] - $north[$node]);
    }

    /** @return array{list<float>, list<float>} the way that the fingers ask for, from first motion to last: east and north, m */
    private function drawn(): array
    {
        [$grid, $span] = [$this->take->grid, $this->take->main];
        [$x, $y] = [$grid->x->value[$span->from], $grid->y->value[$span->from]];
        $east = $north = [];
        for ($i = $span->from; $i <= $span->to; $i++) {
            $east[] = $x;
            $north[] = $y;
            $x += $this->east[$i] * Grid::STEP;
            $y += $this->north[$i] * Grid::STEP;
        }

        return [$east, $north];
    }

    /** @return float share of how the pace rose and fell through the hold */
    public function ofPace(): float
    {
        return self::share(...$this->paces());
    }

    /** Spread of what the fingers did not ask of the pace through the hold, m/s. */
    public function gusts(): float
    {
        return sqrt(Statistics::variance(array_map(static fn (float $a, float $b): float => $a - $b, ...$this->paces())));
    }

    /** @return array{list<float>, list<float>} pace through the hold, as flown and as asked for, m/s */
    private function paces(): array
    {
        [$grid, $main] = [$this->take->grid, $this->take->main];
        [$east, $north] = [Statistics::movingAverage($this->east, self::SMOOTH), Statistics::movingAverage($this->north, self::SMOOTH)];
        // At either end of the hold the averages reach into its eases.
        $margin = min(intdiv(self::SMOOTH, 2), intdiv($main->holdTo - $main->holdFrom, 4));
        $flown = $asked = [];
        for ($i = $main->holdFrom + $margin; $i <= $main->holdTo - $margin; $i++) {
            $flown[] = hypot($grid->x->steady[$i], $grid->y->steady[$i]);
            $asked[] = hypot($east[$i], $north[$i]);
        }

        return [$flown, $asked];
    }

    /**
     * @param  list<float>  $flown
     * @param  list<float>  $asked
     */
    private static function share(array $flown, array $asked): float
    {
        [$a, $b] = [Statistics::mean($flown), Statistics::mean($asked)];
        $both = $own = 0.0;
        foreach ($flown as $i => $value) {
            $both += ($value - $a) * ($asked[$i] - $b);
            $own += ($value - $a) ** 2;
        }

        return $own > 0 ? max(0.0, $both / $own) : 0.0;
    }

    /** @return array{list<float>, list<float>} velocity that the fingers ask for, to the east and to the north, m/s, per node */
    private static function asked(Take $take, Sticks $sticks): array
    {
        $flown = [...$take->grid->x->rate, ...$take->grid->y->rate];
        $nodes = $take->grid->count();
        $constant = [array_fill(0, $nodes, 1.0), array_fill(0, $nodes, 0.0)];
        $least = INF;
        $best = [];
        foreach (self::LAGS as $lag) {
            $fingers = [];
            foreach ([Finger::Run, Finger::Slide] as $finger) {
                $travel = $sticks->at($finger, $take->grid->t);
                foreach ([1, 3] as $power) {
                    $fingers[] = self::laid($take, $finger, self::behind(
                        array_map(static fn (float $x): float => $x ** $power, $travel), Lag::share($lag, Grid::STEP),
                    ));
                }
            }
            $air = [[...$constant[0], ...$constant[1]], [...$constant[1], ...$constant[0]]];
            $weights = LeastSquares::linear([...$fingers, ...$air], $flown);
            $left = 0.0;
            $asked = [];
            foreach ($flown as $i => $rate) {
                $asked[] = $hand = $weights[0] * $fingers[0][$i] + $weights[1] * $fingers[1][$i]
                    + $weights[2] * $fingers[2][$i] + $weights[3] * $fingers[3][$i];
                $left += ($rate - $hand - $weights[4] * $air[0][$i] - $weights[5] * $air[1][$i]) ** 2;
            }
            if ($left < $least) {
                [$least, $best] = [$left, $asked];
            }
        }

        return [array_slice($best, 0, $nodes), array_slice($best, $nodes)];
    }

    /**
     * What follows a series by a first-order lag.
     *
     * @param  list<float>  $values
     * @param  float  $share  of what is left that one step covers
     * @return list<float>
     */
    private static function behind(array $values, float $share): array
    {
        $at = $values[0] ?? 0.0;
        $behind = [];
        foreach ($values as $value) {
            $behind[] = $at += $share * ($value - $at);
        }

        return $behind;
    }

    /**
     * A finger's travel laid over the ground along the heading: its east parts, then its north parts.
     *
     * @param  list<float>  $travel
     * @return list<float>
     */
    private static function laid(Take $take, Finger $finger, array $travel): array
    {
        $east = $north = [];
        foreach ($take->grid->heading->value as $i => $heading) {
            $way = $finger === Finger::Run ? $heading : $heading + M_PI / 2;
            $east[] = $travel[$i] * sin($way);
            $north[] = $travel[$i] * cos($way);
        }

        return [...$east, ...$north];
    }
}
