<?php

declare(strict_types=1);

namespace Larkspur\Scoring\Path;

use Larkspur\Measure\Statistics;
use Larkspur\Scoring\Grid;
use Larkspur\Scoring\NoiseCorrected;
use Larkspur\Scoring\Span;

/** A straight path over the ground: along it is the mean direction of motion, off it is across that. */
final readonly class LinePath implements FlownPath
{
    private function __construct(private Grid $grid, private float $east, private float $north)
    {
    }

    public static function of(Grid $grid): self
    {
        return new self($grid, ...self::direction($grid->x->rate, $grid->y->rate));
    }

    /**
     * That of the summed velocities of the nodes faster than half their 95th percentile.
     *
     * @param  list<float>  $x  velocity to the east, per node
     * @param  list<float>  $y  to the north
     * @return array{float, float} unit vector east, north
     */
    private static function direction(array $x, array $y): array
    {
        $speed = array_map(hypot(...), $x, $y);
        $fast = 0.5 * Statistics::percentile($speed, 95);
        $east = $north = 0.0;
        foreach ($speed as $i => $value) {
            if ($value > $fast) {
                $east += $x[$i];
                $north += $y[$i];
            }
        }
        $length = hypot($east, $north) + 1e-9;

        return [$east / $length, $north / $length];
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

    public function rawDistance(Span $span): array
    {
        return $this->along($this->grid->samples->x, $this->grid->samples->y);
    }

    /**
     * @param  list<float>  $x
     * @param  list<float>  $y
     * @return list<float>
     */
    private function along(array $x, array $y): array
    {
        return array_map(fn (float $east, float $north): float => $east * $this->east + $north * $this->north, $x, $y);
    }

    /** The spread across the direction about its own straight line in time, and that line's drift. */
    public function stray(Span $span): array
    {
        $time = array_slice($this->grid->t, $span->from, $span->nodes());
        $across = [];
        for ($i = $span->from; $i <= $span->to; $i++) {
            $across[] = $this->grid->y->value[$i] * $this->east - $this->grid->x->value[$i] * $this->north;
        }
        $slope = Statistics::slope($time, $across);
        $rest = array_map(static fn (float $value, float $t): float => $value - $slope * $t, $across, $time);

        return [
            'wander' => NoiseCorrected::value(Statistics::variance($rest), self::noise($this->grid, $span) ** 2 + CirclePath::WALK ** 2),
            'drift' => max(0.0, abs($slope) * ($time[count($time) - 1] - $time[0]) - 2 * CirclePath::WALK),
            'over' => null,
        ];
    }

    /** From a line along the places' own direction: which way it goes is another question. */
    public function off(array $east, array $north, Span $span): array
    {
        [$x, $y] = self::direction(self::steps($east), self::steps($north));

        return array_map(static fn (float $e, float $n): float => $n * $x - $e * $y, $east, $north);
    }

    /**
     * @param  list<float>  $way
     * @return list<float>
     */
    private static function steps(array $way): array
    {
        return array_map(static fn (float $next, float $one): float => $next - $one, array_slice($way, 1), array_slice($way, 0, -1));
    }

    public function extent(Span $span): float
    {
        return abs(array_sum(array_slice($this->speed(), $span->from, $span->nodes())) * Grid::STEP);
    }

    /** Noise of a position over the hold, m. */
    public static function noise(Grid $grid, Span $span): float
    {
        return $grid->x->sigma * Statistics::mean(array_slice($grid->x->g0, $span->holdFrom, $span->holdTo - $span->holdFrom + 1));
    }
}
