<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

use Larkspur\Camera\Lens;
use Larkspur\Controls\Axis;
use Larkspur\Geo\MovingPoint;
use Larkspur\Geo\Position;
use Larkspur\Measure\Statistics;
use Larkspur\Move\Judging\Judging;
use Larkspur\Move\Judging\PathKind;
use Larkspur\Move\Judging\Role;
use Larkspur\Scoring\Path\ArcPath;
use Larkspur\Scoring\Path\BesidePath;
use Larkspur\Scoring\Path\CirclePath;
use Larkspur\Scoring\Path\FlownPath;
use Larkspur\Scoring\Path\LinePath;
use Larkspur\Scoring\Path\SpotPath;
use Larkspur\Scoring\Path\VerticalPath;

/**
 * One take laid out for measuring: its grid, the axes with their rates and spans, and the subject as seen from the
 * craft. Metres, radians, seconds; lists have one value per grid node.
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

    /** @var array<value-of<Axis>, Speedometer> the log's own speeds, where it has them and they can be believed */
    public array $speedometers;

    /** Viewing distance d, m. */
    public float $viewing;

    /**
     * @param  ?MovingPoint  $subject  aimed-at point in the grid's frame
     * @param  float  $way  +1 clockwise, -1 counterclockwise
     */
    private function __construct(
        public Grid $grid,
        public Judging $judging,
        public Lens $lens,
        public ?MovingPoint $subject,
        public float $way,
        Span $main,
        FlownPath $path,
        ?float $viewing,
    ) {
        [$this->dx, $this->dy, $this->dz, $this->distance] = self::offsets($grid, $subject);
        $this->path = $path;
        $rate = [
            Axis::Travel->value => $this->path->speed(), Axis::Climb->value => $grid->z->rate, Axis::Turn->value => $grid->heading->rate,
            Axis::Tilt->value => $grid->tilt->rate,
        ];
        $steady = [
            Axis::Travel->value => $this->path->steadySpeed(), Axis::Climb->value => $grid->z->steady,
            Axis::Turn->value => $grid->heading->steady, Axis::Tilt->value => $grid->tilt->rate,
        ];
        $spans = [];
        foreach ($judging->steady() as $axis) {
            if (array_sum($rate[$axis->value]) < 0) {
                $rate[$axis->value] = self::negated($rate[$axis->value]);
                $steady[$axis->value] = self::negated($steady[$axis->value]);
            }
            $span = $axis === $judging->primary() ? $main : Span::of($rate[$axis->value], self::channelOf($grid, $axis)->edgeNoise());
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
        $this->speedometers = array_filter([
            Axis::Travel->value => isset($spans['travel']) ? Speedometer::of($grid, $grid->samples->speed, $steady['travel']) : null,
            Axis::Climb->value => isset($spans['climb'])
                ? Speedometer::of($grid, self::alike($grid->samples->climb, $steady['climb']), $steady['climb'])
                : null,
        ]);
        $this->viewing = match (true) {
            $judging->hasSubject() => max(1.0, Statistics::median($this->hold($this->distance))),
            $viewing !== null => max(1.0, $viewing),
            // With nothing to go by, what lies as far ahead as one and a half times the height is what is seen move.
            default => max(15.0, 1.5 * (Statistics::median($this->hold($grid->z->value)) - Statistics::least($grid->z->value))),
        };
    }

    /**
     * @param  ?MovingPoint  $subject  needed where the move has one
     * @param  ?float  $viewing  distance of what is looked at, m, where there is no subject
     * @param  float  $widening  by which a round path was meant to widen, m
     * @param  ?array{float, float}  $limits  of the take, s: needed where nothing moves
     * @return ?self null where the take holds no motion of the kind that the move is made of
     */
    public static function of(
        Grid $grid, Judging $judging, Lens $lens, ?MovingPoint $subject, float $way, ?float $viewing = null, float $widening = 0.0,
        ?array $limits = null,
    ): ?self {
        if ($subject === null && ($judging->hasSubject() || $judging->path === PathKind::Circle)) {
            return null;
        }
        $path = match ($judging->path) {
            PathKind::Circle => self::round($grid, $subject ?? MovingPoint::still(new Position(0, 0, 0)), $way, $widening),
            PathKind::Arc => ArcPath::of($grid, $limits),
            PathKind::Line => LinePath::of($grid),
            PathKind::Vertical => new VerticalPath($grid),
            PathKind::Spot, PathKind::Figure => new SpotPath($grid, $judging->primary()),
            PathKind::Beside => BesidePath::of($grid, $subject ?? MovingPoint::still(new Position(0, 0, 0))),
        };
        $rate = match ($judging->primary()) {
            Axis::Climb => $grid->z->rate,
            Axis::Turn => $grid->heading->rate,
            Axis::Tilt => $grid->tilt->rate,
            Axis::Travel => $path->speed(),
            null => null,
        };
        $noise = $judging->primary() === null ? [] : self::channelOf($grid, $judging->primary())->edgeNoise();
        $main = match (true) {
            $rate === null => Span::between($grid->t, $limits ?? [$grid->t[0], $grid->t[$grid->count() - 1]]),
            $judging->role($judging->primary() ?? Axis::Travel) === Role::Profile => Span::profiled(
                array_sum($rate) < 0 ? self::negated($rate) : $rate, $noise,
            ),
            default => Span::of(array_sum($rate) < 0 ? self::negated($rate) : $rate, $noise),
        };

        return $main === null ? null : new self($grid, $judging, $lens, $subject, $way, $main, $path, $viewing);
    }

    private static function round(Grid $grid, MovingPoint $subject, float $way, float $widening): CirclePath
    {
        [$dx, $dy] = self::offsets($grid, $subject);

        return new CirclePath($grid, $dx, $dy, $subject->first()->east, $subject->first()->north, $way, $widening);
    }

    /** @return array{list<float>, list<float>, list<float>, list<float>} */
    private static function offsets(Grid $grid, ?MovingPoint $subject): array
    {
        $dx = $dy = $dz = $distance = [];
        $at = $subject?->first() ?? new Position(0, 0, 0);
        $moves = $subject?->moves() ?? false;
        foreach ($grid->x->value as $i => $x) {
            $at = $moves ? $subject->at($grid->t[$i]) : $at;
            $dx[] = $e = $at->east - $x;
            $dy[] = $n = $at->north - $grid->y->value[$i];
            $dz[] = $u = $at->up - $grid->z->value[$i];
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
     * A column, turned about where the take's own way is down.
     *
     * @param  ?list<float>  $column
     * @param  list<float>  $known
     * @return ?list<float>
     */
    private static function alike(?array $column, array $known): ?array
    {
        return $column === null ? null : (array_sum($column) * array_sum($known) < 0 ? self::negated($column) : $column);
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

    /** @return array{float, float} when the hold begins and ends, s */
    public function holdTimes(): array
    {
        return [$this->grid->t[$this->main->holdFrom], $this->grid->t[$this->main->holdTo]];
    }

    /**
     * Share of the way that was behind the craft at each node from first motion to last, 0 to 1.
     *
     * @return list<float>
     */
    public function progress(): array
    {
        $sum = 0.0;
        $gone = [];
        $primary = $this->judging->primary();
        foreach ($primary === null ? array_fill(0, $this->main->nodes(), 1.0) : $this->moving($this->rate[$primary->value]) as $rate) {
            $gone[] = $sum += abs($rate);
        }

        return array_map(static fn (float $way): float => $sum > 0 ? $way / $sum : 0.0, $gone);
    }

    /** Sine of the angle between the way flown and the way looked, over the hold: 0 for straight ahead, 1 for sideways. */
    public function crab(): float
    {
        $sines = [];
        foreach ($this->hold(array_keys($this->grid->t)) as $i) {
            $sines[] = abs(sin(atan2($this->grid->x->rate[$i], $this->grid->y->rate[$i]) - $this->grid->heading->value[$i]));
        }

        return Statistics::median($sines);
    }

    /** A speed across the line of sight as image speed, % of the frame's width a second. */
    public function imageSpeed(float $metresPerSecond): float
    {
        return 100 * $metresPerSecond / $this->viewing / $this->lens->horizontal;
    }

    /** Rate below which an axis hardly moves the picture: 2 % of the width a second, in the axis' own unit. */
    public function floor(Axis $axis): float
    {
        return 0.02 * $this->lens->horizontal * ($axis->rotates() ? 1.0 : $this->viewing);
    }

    public function channel(Axis $axis): Channel
    {
        return self::channelOf($this->grid, $axis);
    }

    private static function channelOf(Grid $grid, Axis $axis): Channel
    {
        return match ($axis) {
            Axis::Travel => $grid->x,
            Axis::Climb => $grid->z,
            Axis::Turn => $grid->heading,
            Axis::Tilt => $grid->tilt,
        };
    }

    /** Held rate of an axis, in its own unit; 0 where it does not move. */
    public function held(Axis $axis): float
    {
        return isset($this->spans[$axis->value])
            ? $this->spans[$axis->value]->rate
            : ($axis === $this->judging->primary() && $this->judging->role($axis) === Role::Profile ? $this->main->rate : 0.0);
    }
}
