<?php

declare(strict_types=1);

namespace Larkspur\Geo;

/**
 * A place that may move: one point, or a track of points with their times. Metres and seconds.
 *
 * Between points it goes by cubic Hermite pieces whose slopes are those of the parabola through three neighbours (three-point
 * differences; any numerical text): through every point, without a step in speed. Two points are a straight line.
 */
final readonly class MovingPoint
{
    /**
     * @param  non-empty-list<float>  $t  rising
     * @param  non-empty-list<Position>  $places
     */
    private function __construct(private array $t, private array $places)
    {
    }

    public static function still(Position $place): self
    {
        return new self([0.0], [$place]);
    }

    /**
     * @param  non-empty-list<float>  $t  rising
     * @param  non-empty-list<Position>  $places
     */
    public static function track(array $t, array $places): self
    {
        return new self($t, $places);
    }

    public function moves(): bool
    {
        return count($this->t) > 1;
    }

    /** @return array{float, float} times of its first point and its last, s */
    public function span(): array
    {
        return [$this->t[0], $this->t[count($this->t) - 1]];
    }

    /** The same on its way so many seconds later. */
    public function later(float $seconds): self
    {
        return new self(array_map(static fn (float $t): float => $t + $seconds, $this->t), $this->places);
    }

    /** Where it is at a time; before its first point and after its last it rests there. */
    public function at(float $time): Position
    {
        $last = count($this->t) - 1;
        if ($time <= $this->t[0]) {
            return $this->places[0];
        }
        if ($time >= $this->t[$last]) {
            return $this->places[$last];
        }
        $low = 0;
        $high = $last;
        while ($high - $low > 1) {
            $middle = intdiv($low + $high, 2);
            [$low, $high] = $this->t[$middle] <= $time ? [$middle, $high] : [$low, $middle];
        }
        $a = $this->places[$low];
        $b = $this->places[$high];
        $share = ($time - $this->t[$low]) / max(1e-9, $this->t[$high] - $this->t[$low]);

        $span = $this->t[$high] - $this->t[$low];
        if ($last === 1 || $span <= 0) {
            return new Position(
                $a->east + $share * ($b->east - $a->east), $a->north + $share * ($b->north - $a->north),
                $a->up + $share * ($b->up - $a->up),
            );
        }
        $p = $this->slope($low);
        $q = $this->slope($high);
        $on = $share * $share * (3 - 2 * $share);
        $leave = $span * $share * (1 - $share) ** 2;
        $arrive = -$span * $share * $share * (1 - $share);

        return new Position(
            $a->east + $on * ($b->east - $a->east) + $leave * $p->east + $arrive * $q->east,
            $a->north + $on * ($b->north - $a->north) + $leave * $p->north + $arrive * $q->north,
            $a->up + $on * ($b->up - $a->up) + $leave * $p->up + $arrive * $q->up,
        );
    }

    /** Velocity at a point of the track, by its neighbours, m/s. */
    private function slope(int $k): Position
    {
        $last = count($this->t) - 1;
        $before = $k > 0 ? self::velocity($this->places[$k - 1], $this->places[$k], $this->t[$k] - $this->t[$k - 1]) : null;
        $after = $k < $last ? self::velocity($this->places[$k], $this->places[$k + 1], $this->t[$k + 1] - $this->t[$k]) : null;
        if ($before === null || $after === null) {
            return $before ?? $after ?? new Position(0, 0, 0);
        }
        $g = $this->t[$k] - $this->t[$k - 1];
        $h = $this->t[$k + 1] - $this->t[$k];
        $w = $h / ($g + $h);

        return new Position(
            $w * $before->east + (1 - $w) * $after->east, $w * $before->north + (1 - $w) * $after->north,
            $w * $before->up + (1 - $w) * $after->up,
        );
    }

    private static function velocity(Position $from, Position $to, float $seconds): Position
    {
        $seconds = max(1e-9, $seconds);

        return new Position(($to->east - $from->east) / $seconds, ($to->north - $from->north) / $seconds, ($to->up - $from->up) / $seconds);
    }

    /** Which way it moves about a time, rad clockwise from north; null where it rests. */
    public function course(float $time, float $over = 0.5): ?float
    {
        $way = $this->at($time + $over / 2)->minus($this->at($time - $over / 2));

        return $way->ground() < 1e-3 ? null : $way->bearing();
    }

    public function first(): Position
    {
        return $this->places[0];
    }

    /**
     * The time of its first and of its last point, s.
     *
     * @return array{float, float}
     */
    public function between(): array
    {
        return [$this->t[0], $this->t[count($this->t) - 1]];
    }
}
