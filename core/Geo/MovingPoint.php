<?php

declare(strict_types=1);

namespace Larkspur\Geo;

use Larkspur\Measure\Angle;
use Larkspur\Measure\Series;

/**
 * A place that may move: one point, or a track of points with their times. Metres and seconds.
 *
 * Between points it goes by cubic Hermite pieces whose slopes are those of the parabola through three neighbours (three-point
 * differences; any numerical text): through every point, without a step in speed. Two points are a straight line.
 */
final readonly class MovingPoint
{
    /** Between looks at its way, s. */
    private const LOOK = 0.1;

    /** Pieces of way either side that a course is made of. */
    private const PIECES = 40;

    /** What goes no farther goes nowhere, m. */
    private const NOWHERE = 0.5;

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

    /**
     * Which way it goes, as somebody follows it who keeps some metres off: its way so far behind and so far ahead counts, the nearer the
     * more (a raised cosine, so that nothing sets in with a jolt). A stop does not turn it, and a corner is rounded.
     *
     * @param  float  $reach  m
     * @return callable(float): ?float rad clockwise from north, unwrapped, by the time; null where it goes nowhere
     */
    public function courseOver(float $reach): callable
    {
        [$gone, $along] = $this->byItsWay();
        $whole = $gone($this->between()[1]);
        if ($whole < self::NOWHERE) {
            return static fn (float $time): ?float => null;
        }
        $apart = $reach / self::PIECES;
        $places = [];
        for ($k = -self::PIECES, $n = (int) ceil($whole / $apart) + self::PIECES; $k <= $n; $k++) {
            $places[] = $along($k * $apart);
        }
        $courses = [];
        for ($k = self::PIECES, $n = count($places) - self::PIECES; $k < $n; $k++) {
            [$east, $north] = [0.0, 0.0];
            for ($j = -self::PIECES; $j < self::PIECES; $j++) {
                $weight = 1 + cos(M_PI * ($j + 0.5) / self::PIECES);
                [$a, $b] = [$places[$k + $j], $places[$k + $j + 1]];
                [$east, $north] = [$east + $weight * ($b->east - $a->east), $north + $weight * ($b->north - $a->north)];
            }
            $courses[] = atan2($east, $north);
        }
        $line = $knots = [];
        foreach (Angle::unwrap($courses) as $k => $course) {
            [$knots[], $line[]] = [(float) $k, new Position($course, 0.0, 0.0)];
        }
        if ($line === []) {
            return static fn (float $time): ?float => null;
        }
        $courses = self::track($knots, $line);

        return static fn (float $time): float => $courses->at($gone($time) / $apart)->east;
    }

    /**
     * Its way: how far it has gone at a time, and where it is once it has gone so far, over the ground.
     *
     * @return array{callable(float): float, callable(float): Position}
     */
    private function byItsWay(): array
    {
        [$from, $to] = $this->between();
        $last = max(1, (int) ceil(($to - $from) / self::LOOK));
        [$way, $places] = [[0.0], [$this->at($from)]];
        for ($k = 1; $k <= $last; $k++) {
            $places[] = $this->at($from + self::LOOK * $k);
            $way[] = $way[$k - 1] + $places[$k]->minus($places[$k - 1])->ground();
        }
        $east = array_map(static fn (Position $place): float => $place->east, $places);
        $north = array_map(static fn (Position $place): float => $place->north, $places);

        return [
            function (float $time) use ($from, $last, $way, $places): float {
                $k = (int) max(0, min($last, floor(($time - $from) / self::LOOK)));

                return $way[$k] + $this->at($time)->minus($places[$k])->ground();
            },
            static fn (float $gone): Position => new Position(
                Series::between($way, $east, $gone), Series::between($way, $north, $gone), 0.0,
            ),
        ];
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
