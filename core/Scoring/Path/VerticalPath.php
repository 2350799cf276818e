<?php

declare(strict_types=1);

namespace Larkspur\Scoring\Path;

use Larkspur\Measure\Statistics;
use Larkspur\Scoring\Channel;
use Larkspur\Scoring\Grid;
use Larkspur\Scoring\NoiseCorrected;
use Larkspur\Scoring\Span;

/** A plumb line: along it is the climb, which is an axis of its own; off it is any way over the ground. */
final readonly class VerticalPath implements FlownPath
{
    public function __construct(private Grid $grid)
    {
    }

    public function speed(): array
    {
        return array_fill(0, $this->grid->count(), 0.0);
    }

    public function steadySpeed(): array
    {
        return $this->speed();
    }

    public function acceleration(): array
    {
        return $this->speed();
    }

    public function rawDistance(Span $span): array
    {
        return array_fill(0, count($this->grid->samples->t), 0.0);
    }

    public function stray(Span $span): array
    {
        $time = array_slice($this->grid->t, $span->from, $span->nodes());
        $x = array_slice($this->grid->x->value, $span->from, $span->nodes());
        $y = array_slice($this->grid->y->value, $span->from, $span->nodes());

        return [
            'wander' => NoiseCorrected::value(
                Statistics::variance($x) + Statistics::variance($y), 2 * (LinePath::noise($this->grid, $span) ** 2 + CirclePath::WALK ** 2),
            ),
            'drift' => max(
                0.0,
                hypot(
                    Statistics::slope($time, $x), Statistics::slope($time, $y),
                ) * ($time[count($time) - 1] - $time[0]) - 2 * CirclePath::WALK,
            ),
            'over' => null,
        ];
    }

    /** Along the way that it went from its spot. */
    public function off(array $east, array $north, Span $span): array
    {
        [$x, $y] = array_map(static function (Channel $channel) use ($span): float {
            $way = array_slice($channel->value, $span->from, $span->nodes());

            return Statistics::slope(array_map(floatval(...), array_keys($way)), $way);
        }, [$this->grid->x, $this->grid->y]);
        $length = max(1e-9, hypot($x, $y));

        return array_map(static fn (float $e, float $n): float => ($e * $x + $n * $y) / $length, $east, $north);
    }

    public function extent(Span $span): float
    {
        return abs($this->grid->z->value[$span->to] - $this->grid->z->value[$span->from]);
    }
}
