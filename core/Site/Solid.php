<?php

declare(strict_types=1);

namespace Larkspur\Site;

use Closure;
use Larkspur\Camera\View;
use Larkspur\Fact;
use Larkspur\Fields;
use Larkspur\Geo\Position;
use Larkspur\Measure\Angle;
use Larkspur\Measure\Statistics;
use Larkspur\Refusal;

/** Something that stands on a site: filmed, hiding, or in the way. Metres in the site's frame. */
final readonly class Solid
{
    public const SHAPES = ['box', 'cylinder', 'polygon', 'canopy', 'wire'];

    /** An outline needs at most so many corners; more are a survey, not a sketch. */
    public const MOST_POINTS = 400;

    /** So few are read at once. */
    private const FEW_POINTS = 24;

    /** No width that is said beside an outline is greater, m. */
    private const WIDEST = 2000.0;

    /** Middle of the ball about it. */
    public Position $heart;

    /** Of that ball, m. */
    public float $radius;

    /**
     * @param  value-of<self::SHAPES>  $shape
     * @param  Closure(): non-empty-list<Position>|non-empty-list<Position>  $foot
     * @param  array<string, mixed>  $form  what its shape is written with
     * @param  bool  $isSubject  whether it is filmed; a subject never hides itself
     * @param  bool  $moves  whether it moves by itself: a film of it can't be speeded up
     */
    private function __construct(
        public string $id,
        public string $name,
        public string $shape,
        public Body $body,
        private Closure|array $foot,
        private array $form,
        public bool $isSubject = false,
        public bool $moves = false,
    ) {
        $middle = $body->middle();
        $half = ($body->top() - $middle->up) / 2;
        $this->heart = $middle->plus(0, 0, $half);
        $this->radius = hypot($body->reach(), $half);
    }

    /** @return non-empty-list<Position> its outline on the ground, in order round it; of a wire the feet of its supports */
    public function foot(): array
    {
        return $this->foot instanceof Closure ? ($this->foot)() : $this->foot;
    }

    /** @param  float  $heading direction of the length, rad clockwise from north */
    public static function box(
        string $id, string $name, Position $base, float $width, float $length, float $height, float $heading = 0.0, bool $isSubject = false,
        bool $moves = false,
    ): self {
        [$sin, $cos] = [sin($heading), cos($heading)];
        $corners = [];
        foreach ([[-1, -1], [1, -1], [1, 1], [-1, 1]] as [$across, $along]) {
            [$a, $l] = [$across * $width / 2, $along * $length / 2];
            $corners[] = $base->plus($a * $cos + $l * $sin, -$a * $sin + $l * $cos, 0);
        }

        return new self(
            $id, $name, 'box', new Prism($corners, $height), $corners, self::placed($base, $width, $length, $height, $heading), $isSubject,
            $moves,
        );
    }

    public static function cylinder(
        string $id, string $name, Position $base, float $width, float $height, bool $isSubject = false, bool $moves = false,
    ): self {
        $body = new Cylinder($base, $width / 2, $height);

        return new self($id, $name, 'cylinder', $body, $body->foot(), self::placed($base, $width, $width, $height), $isSubject, $moves);
    }

    /**
     * @param  non-empty-list<Position>  $outline  corners of the foot, at its height
     * @param  float  $clear  free height beneath, m: the crown of a wood stands on it
     */
    public static function over(
        string $id, string $name, array $outline, float $height, float $clear = 0.0, bool $isSubject = false, bool $moves = false,
    ): self {
        $body = self::raised($outline, $height, $clear);

        return new self($id, $name, $clear > 0 ? 'canopy' : 'polygon', $body, $outline, [
            ...self::placed($body->middle()->plus(0, 0, -$clear), ...self::spread($outline), height: $height),
            'points' => self::written($outline), ...$clear > 0 ? ['clear_m' => $clear] : [],
        ], $isSubject, $moves);
    }

    /** @param  non-empty-list<Position>  $outline */
    private static function raised(array $outline, float $height, float $clear): Prism
    {
        return new Prism(
            $clear === 0.0 ? $outline : array_map(static fn (Position $p): Position => $p->plus(0, 0, $clear), $outline), $height - $clear,
        );
    }

    /** @param  non-empty-list<Position>  $feet  below its supports */
    public static function wire(string $id, string $name, array $feet, float $height, float $sag = 0.0): self
    {
        $body = new Wire(array_map(static fn (Position $p): Position => $p->plus(0, 0, $height), $feet), $sag);

        return new self($id, $name, 'wire', $body, $feet, [
            ...self::placed(
                new Position($body->middle()->east, $body->middle()->north, $feet[0]->up), ...self::spread($feet), height: $height,
            ),
            'points' => self::written($feet), 'sag_m' => $sag,
        ]);
    }

    /**
     * @param  bool  $kept  whether it was read before it was kept: then an outline of many corners is looked at only when it matters
     *
     * @throws Refusal where it can't stand as it is written, with the nearest form that can
     */
    public static function read(Fields $fields, bool $kept = false): self
    {
        /** @var value-of<self::SHAPES> $shape */
        $shape = $fields->choiceOrNull('shape', self::SHAPES) ?? 'box';
        [$id, $name] = [$fields->textOrNull('id') ?? '', $fields->textOrNull('name') ?? 'obstacle'];
        $foot = $fields->numberOrNull('base_m', -500, 9000, 'm') ?? 0.0;
        $height = $fields->number('height_m', 0.01, 1000, 'm');
        $filmed = $fields->choiceOrNull('role', ['subject', 'obstacle']) === 'subject';
        $moves = $fields->flag('moves');
        $sag = $fields->numberOrNull('sag_m', 0, 100, 'm') ?? 0.0;
        $free = $fields->numberOrNull('clear_m', 0.01, 950, 'm') ?? 0.3 * $height;
        if ($shape === 'wire') {
            return self::wire(
                $id, $name, self::points($fields, $foot, 2), $height,
                $sag <= $height ? $sag : throw new Refusal(
                    Fact::of('solid.would-hang-into-ground'), $fields->place('sag_m'),
                    Fact::of('solid.m-less', height: Fields::written($height)),
                ),
            );
        }
        if ($shape === 'canopy' && $free > 0.95 * $height) {
            throw new Refusal(
                Fact::of('solid.nothing-would-left-crowns'), $fields->place('clear_m'),
                Fact::of('solid.m-less', height: Fields::written(0.95 * $height)),
            );
        }
        $clear = $shape === 'canopy' ? $free : 0.0;
        $later = $kept ? self::later($fields, $id, $name, $shape, $foot, $height, $clear, $filmed, $moves) : null;
        if ($later !== null) {
            return $later;
        }
        if ($shape === 'polygon' || ($shape === 'canopy' && $fields->has('points'))) {
            $outline = self::points($fields, $foot, 3);
            try {
                $crossing = Outline::selfCrossing($outline);
            } catch (Refusal $intricate) {
                throw $intricate->at($fields->place('points'));
            }
            if ($crossing !== null) {
                throw new Refusal(
                    Fact::of('solid.outline-crosses-itself-side', name: $name, side: $crossing[0] + 1, otherSide: $crossing[1] + 1),
                    $fields->place('points'), Fact::of('solid.corners-order-round-same'),
                );
            }
            if (abs(Outline::twiceArea($outline)) < 1e-4) {
                throw new Refusal(
                    Fact::of('solid.outline-encloses-nothing', name: $name), $fields->place('points'),
                    Fact::of('solid.three-corners-do-not'),
                );
            }

            return self::over($id, $name, $outline, $height, $clear, $filmed, $moves);
        }
        $width = $fields->number('width_m', 0.01, 2000, 'm');
        $base = new Position($fields->number('east_m', -20000, 20000, 'm'), $fields->number('north_m', -20000, 20000, 'm'), $foot);
        if ($shape === 'canopy') {
            return self::over($id, $name, (new Cylinder($base, $width / 2, $height))->foot(), $height, $clear, $filmed, $moves);
        }

        return $shape === 'cylinder'
            ? self::cylinder($id, $name, $base, $width, $height, $filmed, $moves)
            : self::box(
                $id, $name, $base, $width, $fields->numberOrNull('length_m', 0.01, 2000, 'm') ?? $width, $height,
                ($fields->numberOrNull('heading_deg', -360, 360, 'degrees') ?? 0.0) * Angle::DEGREE, $filmed, $moves,
            );
    }

    /**
     * One whose outline is read when somebody comes near; null where it has few corners, or does not say how far it reaches.
     *
     * @param  value-of<self::SHAPES>  $shape
     */
    private static function later(
        Fields $fields, string $id, string $name, string $shape, float $foot, float $height, float $clear, bool $filmed, bool $moves,
    ): ?self {
        $form = $fields->asWritten(
            'east_m', 'north_m', 'base_m', 'width_m', 'length_m', 'height_m', 'heading_deg', 'points', 'clear_m',
        );
        [$width, $length] = [$form['width_m'] ?? null, $form['length_m'] ?? null];
        $known = in_array(
            $shape, ['polygon', 'canopy'], true,
        ) && is_array($form['points'] ?? null) && count($form['points']) > self::FEW_POINTS
            && is_numeric($width) && is_numeric($length) && $width < self::WIDEST && $length < self::WIDEST;
        if (! $known) {
            return null;
        }
        $outline = static fn (): array => self::points($fields, $foot, 3);
        $middle = new Position($fields->number('east_m', -20000, 20000), $fields->number('north_m', -20000, 20000), $foot + $clear);
        $body = new Later(
            // What stands beside the outline is rounded to the millimetre.
            $middle, hypot((float) $width, (float) $length) / 2 + 0.01, $foot + $height,
            static fn (): Body => self::raised($outline(), $height, $clear),
        );

        return new self($id, $name, $shape, $body, $outline, $form, $filmed, $moves);
    }

    /** @return non-empty-list<Position> */
    private static function points(Fields $fields, float $foot, int $least): array
    {
        $pairs = $fields->pairs('points');
        if ($pairs === [] || count($pairs) < $least || count($pairs) > self::MOST_POINTS) {
            throw new Refusal(
                Fact::of('solid.points-are', count: count($pairs), is: count($pairs) < $least ? 'few' : 'many'), $fields->place('points'),
                Fact::of('solid.from-to', least: $least, mostPoints: self::MOST_POINTS),
            );
        }
        foreach ($pairs as $i => [$east, $north]) {
            if (abs($east) > 20000 || abs($north) > 20000) {
                throw new Refusal(
                    Fact::of('solid.point-lies-more-20'), $fields->place('points').'.'.$i, Fact::of('solid.metres-east-north-take'),
                );
            }
        }

        return array_map(static fn (array $pair): Position => new Position($pair[0], $pair[1], $foot), $pairs);
    }

    /** @return array<string, float> */
    private static function placed(Position $base, float $width, float $length, float $height, float $heading = 0.0): array
    {
        return [
            'east_m' => round($base->east, 3), 'north_m' => round($base->north, 3), 'base_m' => round($base->up, 3),
            'width_m' => $width, 'length_m' => $length, 'height_m' => $height, 'heading_deg' => round($heading / Angle::DEGREE, 3),
        ];
    }

    /**
     * @param  non-empty-list<Position>  $points
     * @return array{width: float, length: float}
     */
    private static function spread(array $points): array
    {
        $east = array_map(static fn (Position $p): float => $p->east, $points);
        $north = array_map(static fn (Position $p): float => $p->north, $points);

        return ['width' => self::across($east), 'length' => self::across($north)];
    }

    /**
     * What is said beside an outline, within what any width may be, m.
     *
     * @param  list<float>  $values
     */
    private static function across(array $values): float
    {
        return max(0.01, min(self::WIDEST, round(Statistics::greatest($values) - Statistics::least($values), 3)));
    }

    /**
     * @param  list<Position>  $points
     * @return list<array{float, float}>
     */
    private static function written(array $points): array
    {
        return array_map(static fn (Position $p): array => [round($p->east, 3), round($p->north, 3)], $points);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'id' => $this->id, 'name' => $this->name, 'role' => $this->isSubject ? 'subject' : 'obstacle', 'shape' => $this->shape,
            ...$this->form, ...$this->moves ? ['moves' => true] : [],
        ];
    }

    /** Shortest distance from a point to it, m; 0 inside it. */
    public function distance(Position $point): float
    {
        return $this->body->distance($point);
    }

    /** Whether it stands in the straight line from one point to another. */
    public function stands(Position $eye, Position $point): bool
    {
        $middle = $this->body->middle();
        $reach = $this->body->reach();
        // Far from the line, and most are: no need to look closer.
        [$we, $wn] = [$point->east - $eye->east, $point->north - $eye->north];
        [$e, $n] = [$middle->east - $eye->east, $middle->north - $eye->north];
        $length = $we * $we + $wn * $wn;
        $s = $length < 1e-12 ? 0.0 : max(0.0, min(1.0, ($e * $we + $n * $wn) / $length));
        if (($e - $s * $we) ** 2 + ($n - $s * $wn) ** 2 > $reach * $reach + 1e-6) {
            return false;
        }

        return $this->body->stands($eye, $point);
    }

    /** Nothing of it lies nearer than this to a point, over the ground, m; may be negative. */
    public function leastDistance(Position $point): float
    {
        $middle = $this->body->middle();

        return hypot($point->east - $middle->east, $point->north - $middle->north) - $this->body->reach();
    }

    /**
     * As the lens sees it: for each convex part the outline of its projected edges, in frame fractions from the centre.
     *
     * Edges that pass behind the lens are cut at the near plane first, so no corner is ever divided by a depth of zero or less.
     *
     * @param  bool  $far  whether it is so small in the picture that one outline about all of it does
     * @return list<non-empty-list<array{float, float}>> (u, v) in order round each outline; two points for a part of a wire
     */
    public function silhouettes(View $view, bool $far = false): array
    {
        $outlines = [];
        $edged = null;
        $about = $far ? $this->body->about() : [];
        foreach ($about === [] ? $this->body->corners() : [$about] as $k => $corners) {
            $points = $view->projectAll($corners);
            $edged ??= $points === null ? $this->body->edges() : null;
            $points ??= self::beforeLens($edged[$k] ?? [], $view);
            $outline = self::hull($points);
            if (count($outline) >= ($this->shape === 'wire' ? 2 : 3)) {
                $outlines[] = $outline;
            }
        }

        return $outlines;
    }

    /**
     * The ends of the parts of edges that lie before the lens, in frame fractions from the centre.
     *
     * @param  list<array{Position, Position}>  $edges
     * @return list<array{float, float}>
     */
    private static function beforeLens(array $edges, View $view): array
    {
        $points = [];
        foreach ($edges as [$a, $b]) {
            foreach (self::cut($view->inLensAxes($a), $view->inLensAxes($b)) as [$right, $up, $depth]) {
                $point = $view->onPlane($right, $up, $depth);
                if ($point !== null) {
                    $points[] = [$point->u, $point->v];
                }
            }
        }

        return $points;
    }

    /**
     * The ends of the part of an edge that lies before the near plane.
     *
     * @param  array{float, float, float}  $a
     * @param  array{float, float, float}  $b
     * @return list<array{float, float, float}>
     */
    private static function cut(array $a, array $b): array
    {
        $near = View::NEAR;
        if ($a[2] < $near && $b[2] < $near) {
            return [];
        }
        if ($a[2] >= $near && $b[2] >= $near) {
            return [$a, $b];
        }
        $share = ($near - $a[2]) / ($b[2] - $a[2]);
        $at = [$a[0] + $share * ($b[0] - $a[0]), $a[1] + $share * ($b[1] - $a[1]), $near];

        return [$a[2] >= $near ? $a : $b, $at];
    }

    /**
     * Convex hull by the monotone chain (A. M. Andrew, Inf. Process. Lett. 9 (1979) 216-219).
     *
     * @param  list<array{float, float}>  $points
     * @return list<array{float, float}>
     */
    private static function hull(array $points): array
    {
        if (count($points) < 3) {
            return $points;
        }
        sort($points);

        return [...self::chain($points), ...self::chain(array_reverse($points))];
    }

    /**
     * One side of the hull, turning one way only; its last point begins the other side and is left out.
     *
     * @param  list<array{float, float}>  $points  in order of u, then v
     * @return list<array{float, float}>
     */
    private static function chain(array $points): array
    {
        $hull = [];
        foreach ($points as $p) {
            while (count($hull) >= 2) {
                [$ax, $ay] = $hull[count($hull) - 2];
                [$bx, $by] = $hull[count($hull) - 1];
                if (($bx - $ax) * ($p[1] - $ay) - ($by - $ay) * ($p[0] - $ax) > 0) {
                    break;
                }
                array_pop($hull);
            }
            $hull[] = $p;
        }
        array_pop($hull);

        return $hull;
    }
}
