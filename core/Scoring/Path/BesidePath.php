<?php

declare(strict_types=1);

namespace Larkspur\Scoring\Path;

use Larkspur\Geo\MovingPoint;
use Larkspur\Measure\Statistics;
use Larkspur\Scoring\Grid;
use Larkspur\Scoring\NoiseCorrected;
use Larkspur\Scoring\Span;

/** Beside a moving subject: along it is the craft's own way over the ground, off it a change of distance. */
final readonly class BesidePath implements FlownPath
{
    /** A way this much longer than straight is followed round its bends. */
    private const STRAIGHT = 0.97;

    /**
     * @param  list<float>  $distance  over the ground to the subject, m, per node
     * @param  ?LinePath  $line  where the way is straight
     */
    private function __construct(private Grid $grid, private MovingPoint $subject, private array $distance, private ?LinePath $line)
    {
    }

    public static function of(Grid $grid, MovingPoint $subject): self
    {
        $distance = [];
        $length = 0.0;
        foreach ($grid->t as $i => $t) {
            $at = $subject->at($t);
            $distance[] = hypot($at->east - $grid->x->value[$i], $at->north - $grid->y->value[$i]);
            $length += hypot($grid->x->slow[$i], $grid->y->slow[$i]) * Grid::STEP;
        }
        $last = $grid->count() - 1;
        $net = hypot($grid->x->value[$last] - $grid->x->value[0], $grid->y->value[$last] - $grid->y->value[0]);

        return new self($grid, $subject, $distance, $net >= self::STRAIGHT * $length ? LinePath::of($grid) : null);
    }

    public function speed(): array
    {
        return $this->line?->speed() ?? array_map(hypot(...), $this->grid->x->rate, $this->grid->y->rate);
    }

    public function steadySpeed(): array
    {
        return $this->line?->steadySpeed() ?? array_map(hypot(...), $this->grid->x->steady, $this->grid->y->steady);
    }

    public function acceleration(): array
    {
        return $this->line?->acceleration() ?? array_map(
            static fn (float $vx, float $vy, float $ax, float $ay): float => ($vx * $ax + $vy * $ay) / max(0.1, hypot($vx, $vy)),
            $this->grid->x->rate, $this->grid->y->rate, $this->grid->x->acceleration, $this->grid->y->acceleration,
        );
    }

    public function rawDistance(Span $span): array
    {
        if ($this->line !== null) {
            return $this->line->rawDistance($span);
        }
        $way = 0.0;
        $gone = [];
        foreach ($this->grid->samples->x as $i => $x) {
            $way += $i === 0 ? 0.0 : hypot(
                $x - $this->grid->samples->x[$i - 1], $this->grid->samples->y[$i] - $this->grid->samples->y[$i - 1],
            );
            $gone[] = $way;
        }

        return $gone;
    }

    public function stray(Span $span): array
    {
        $time = array_slice($this->grid->t, $span->from, $span->nodes());
        $distance = array_slice($this->distance, $span->from, $span->nodes());

        return [
            'wander' => NoiseCorrected::value(
                Statistics::variance($distance), LinePath::noise($this->grid, $span) ** 2 + CirclePath::WALK ** 2,
            ),
            'drift' => max(0.0, abs(Statistics::slope($time, $distance)) * ($time[count($time) - 1] - $time[0]) - 2 * CirclePath::WALK),
            'over' => null,
        ];
    }

    public function off(array $east, array $north, Span $span): array
    {
        $off = [];
        foreach ($east as $i => $x) {
            $at = $this->subject->at($this->grid->t[$span->from + $i]);
            $off[] = hypot($x - $at->east, $north[$i] - $at->north);
        }

        return $off;
    }

    public function extent(Span $span): float
    {
        return abs(array_sum(array_slice($this->speed(), $span->from, $span->nodes())) * Grid::STEP);
    }
}
