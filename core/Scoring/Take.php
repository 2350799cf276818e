<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

use Larkspur\Camera\Lens;
use Larkspur\Geo\Position;
use Larkspur\Measure\Angle;
use Larkspur\Measure\Statistics;
use Larkspur\Move\Axis;
use Larkspur\Move\Judging;
use Larkspur\Move\PathKind;

/**
 * One take laid out for measuring: its grid, the axes with their rates and spans, and the subject as seen from the
 * craft. Metres, degrees, seconds; lists have one value per grid node.
 */
final readonly class Take
{
    /** @var list<float> subject minus craft, east, north and up */
    public array $dx;

    /** @var list<float> */
    public array $dy;

    /** @var list<float> */
    public array $dz;

    /** @var list<float> straight-line distance to the subject */
    public array $distance;

    public FlownPath $path;

    /** @var array<value-of<Axis>, list<float>> rate by the main kernel, signed so that the move's own way is positive */
    public array $rate;

    /** @var array<value-of<Axis>, list<float>> rate by the 1.8 s kernel (tilt: main), same sign */
    public array $steady;

    /** @var array<value-of<Axis>, list<float>> */
    public array $acceleration;

    /** The span of the axis that carries the move: S is from..to, H is holdFrom..holdTo. */
    public Span $main;

    /** @var array<value-of<Axis>, Span> spans of the axes held at a constant rate, as far as they move */
    public array $spans;

    /** Viewing distance d, m. */
    public float $viewing;

    /**
     * @param  Position  $subject  aimed-at point in the grid's frame; its origin where the move has none
     * @param  float  $way  +1 clockwise, -1 counterclockwise
     */
    private function __construct(
        public Grid $grid,
        public Judging $judging,
        public Lens $lens,
        public Position $subject,
        public float $way,
        Span $main,
        FlownPath $path,
        ?float $viewing,
    ) {
        [$this->dx, $this->dy, $this->dz, $this->distance] = self::offsets($grid, $subject);
        $this->path = $path;
        $rate = [Axis::Travel->value => $this->path->speed(), Axis::Climb->value => $grid->z->rate, Axis::Turn->value => $grid->heading->rate, Axis::Tilt->value => $grid->tilt->rate];
        $steady = [Axis::Travel->value => $this->path->steadySpeed(), Axis::Climb->value => $grid->z->steady, Axis::Turn->value => $grid->heading->steady, Axis::Tilt->value => $grid->tilt->rate];
        $spans = [];
        foreach ($judging->steady() as $axis) {
            if (array_sum($rate[$axis->value]) < 0) {
                $rate[$axis->value] = self::negated($rate[$axis->value]);
                $steady[$axis->value] = self::negated($steady[$axis->value]);
            }
            $span = $axis === $judging->primary() ? $main : Span::of($rate[$axis->value]);
            if ($span !== null) {
                $spans[$axis->value] = $span;
            }
        }
        $this->rate = $rate;
        $this->steady = $steady;
        $this->acceleration = [
            Axis::Travel->value => $this->path->acceleration(), Axis::Climb->value => $grid->z->acceleration,
            Axis::Turn->value => $grid->heading->acceleration, Axis::Tilt->value => $grid->tilt->acceleration,
        ];
        $this->main = $main;
        $this->spans = $spans;
        $this->viewing = match (true) {
            $judging->hasSubject() => Statistics::median($this->hold($this->distance)),
            $viewing !== null => $viewing,
            // With nothing to go by, what lies as far ahead as one and a half times the height is what is seen move.
            default => max(15.0, 1.5 * (Statistics::median($this->hold($grid->z->value)) - Statistics::least($grid->z->value))),
        };
    }

    /**
     * @param  ?Position  $subject  needed where the move has one
     * @param  ?float  $viewing  distance of what is looked at, m, where there is no subject
     * @return ?self null where the take holds no motion of the kind that the move is made of
     */
    public static function of(Grid $grid, Judging $judging, Lens $lens, ?Position $subject, float $way, ?float $viewing = null): ?self
    {
        if ($subject === null && ($judging->hasSubject() || $judging->path === PathKind::Circle)) {
            return null;
        }
        $subject ??= new Position(0, 0, 0);
        $path = match ($judging->path) {
            PathKind::Circle => self::round($grid, $subject, $way),
            PathKind::Line => LinePath::of($grid),
            PathKind::Vertical => new VerticalPath($grid),
        };
        $rate = $judging->primary() === Axis::Climb ? $grid->z->rate : $path->speed();
        $main = Span::of(array_sum($rate) < 0 ? self::negated($rate) : $rate);

        return $main === null ? null : new self($grid, $judging, $lens, $subject, $way, $main, $path, $viewing);
    }

    private static function round(Grid $grid, Position $subject, float $way): CirclePath
    {
        [$dx, $dy] = self::offsets($grid, $subject);

        return new CirclePath($grid, $dx, $dy, $subject->east, $subject->north, $way);
    }

    /** @return array{list<float>, list<float>, list<float>, list<float>} */
    private static function offsets(Grid $grid, Position $subject): array
    {
        $dx = $dy = $dz = $distance = [];
        foreach ($grid->x->value as $i => $x) {
            $dx[] = $e = $subject->east - $x;
            $dy[] = $n = $subject->north - $grid->y->value[$i];
            $dz[] = $u = $subject->up - $grid->z->value[$i];
            $distance[] = sqrt($e * $e + $n * $n + $u * $u);
        }

        return [$dx, $dy, $dz, $distance];
    }

    /**
     * @param  list<float>  $values
     * @return list<float>
     */
    private static function negated(array $values): array
    {
        return array_map(static fn (float $value): float => -$value, $values);
    }

    /**
     * The part of a list that belongs to the hold.
     *
     * @template T
     *
     * @param  list<T>  $values
     * @return list<T>
     */
    public function hold(array $values): array
    {
        return array_slice($values, $this->main->holdFrom, $this->main->holdTo - $this->main->holdFrom + 1);
    }

    /**
     * The part from first motion to last.
     *
     * @template T
     *
     * @param  list<T>  $values
     * @return list<T>
     */
    public function moving(array $values): array
    {
        return array_slice($values, $this->main->from, $this->main->nodes());
    }

    public function holdSeconds(): float
    {
        return ($this->main->holdTo - $this->main->holdFrom) * Grid::STEP;
    }

    /** Horizontal field of view, degrees. */
    public function hfov(): float
    {
        return $this->lens->horizontal / Angle::DEGREE;
    }

    public function vfov(): float
    {
        return $this->lens->vertical() / Angle::DEGREE;
    }

    /** A speed across the line of sight as image speed, % of the frame's width a second. */
    public function imageSpeed(float $metresPerSecond): float
    {
        return 100 * $metresPerSecond / $this->viewing / Angle::DEGREE / $this->hfov();
    }

    /** Rate below which an axis hardly moves the picture: 2 % of the width a second, in the axis' own unit. */
    public function floor(Axis $axis): float
    {
        return $axis->rotates() ? 0.02 * $this->hfov() : 0.02 * $this->lens->horizontal * $this->viewing;
    }

    public function channel(Axis $axis): Channel
    {
        return match ($axis) {
            Axis::Travel => $this->grid->x,
            Axis::Climb => $this->grid->z,
            Axis::Turn => $this->grid->heading,
            Axis::Tilt => $this->grid->tilt,
        };
    }

    /** Held rate of an axis, in its own unit; 0 where it does not move. */
    public function held(Axis $axis): float
    {
        return isset($this->spans[$axis->value]) ? $this->spans[$axis->value]->rate : 0.0;
    }
}
