<?php

declare(strict_types=1);

namespace Larkspur\Site;

use Larkspur\Camera\View;
use Larkspur\Fields;
use Larkspur\Geo\Position;
use Larkspur\Measure\Angle;

/**
 * An upright box or cylinder that stands on a site: filmed, hiding, or in the way. Metres in the site's frame.
 *
 * A cylinder is drawn as a prism of twelve sides; its distance is measured on the true cylinder.
 */
final readonly class Solid
{
    private float $sin;

    private float $cos;

    /** @var list<Position> the foot's outline, in order round it */
    public array $outline;

    /**
     * @param  'box'|'cylinder'  $shape
     * @param  Position  $base  centre of the foot
     * @param  float  $width  across, m; the diameter of a cylinder
     * @param  float  $length  along the heading, m; ignored for a cylinder
     * @param  float  $heading  direction of the length, rad clockwise from north
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $shape,
        public Position $base,
        public float $width,
        public float $length,
        public float $height,
        public float $heading = 0.0,
        public bool $isSubject = false,
    ) {
        $this->sin = sin($heading);
        $this->cos = cos($heading);
        $this->outline = $this->corners();
    }

    public static function read(Fields $fields): self
    {
        $shape = $fields->choiceOrNull('shape', ['box', 'cylinder']) === 'cylinder' ? 'cylinder' : 'box';
        $width = $fields->number('width_m', 0.01, 2000, 'm');

        return new self(
            $fields->textOrNull('id') ?? '',
            $fields->textOrNull('name') ?? 'obstacle',
            $shape,
            new Position(
                $fields->number('east_m', -20000, 20000, 'm'),
                $fields->number('north_m', -20000, 20000, 'm'),
                $fields->numberOrNull('base_m', -500, 9000, 'm') ?? 0.0,
            ),
            $width,
            $fields->numberOrNull('length_m', 0.01, 2000, 'm') ?? $width,
            $fields->number('height_m', 0.01, 1000, 'm'),
            ($fields->numberOrNull('heading_deg', -360, 360, 'degrees') ?? 0.0) * Angle::DEGREE,
            $fields->choiceOrNull('role', ['subject', 'obstacle']) === 'subject',
        );
    }

    /** @return array<string, string|float> */
    public function toArray(): array
    {
        return [
            'id' => $this->id, 'name' => $this->name, 'role' => $this->isSubject ? 'subject' : 'obstacle', 'shape' => $this->shape,
            'east_m' => round($this->base->east, 3), 'north_m' => round($this->base->north, 3), 'base_m' => round($this->base->up, 3),
            'width_m' => $this->width, 'length_m' => $this->length, 'height_m' => $this->height,
            'heading_deg' => round($this->heading / Angle::DEGREE, 3),
        ];
    }

    /** @return list<Position> */
    private function corners(): array
    {
        $corners = [];
        if ($this->shape === 'cylinder') {
            for ($i = 0; $i < 12; $i++) {
                $corners[] = $this->base->plus(sin($i * M_PI / 6) * $this->width / 2, cos($i * M_PI / 6) * $this->width / 2, 0);
            }

            return $corners;
        }
        foreach ([[-1, -1], [1, -1], [1, 1], [-1, 1]] as [$across, $along]) {
            $a = $across * $this->width / 2;
            $l = $along * $this->length / 2;
            $corners[] = $this->base->plus(
                $a * $this->cos + $l * $this->sin,
                -$a * $this->sin + $l * $this->cos,
                0,
            );
        }

        return $corners;
    }

    /** Shortest distance from a point to the solid, m; 0 inside it. */
    public function distance(Position $point): float
    {
        $east = $point->east - $this->base->east;
        $north = $point->north - $this->base->north;
        $up = $point->up - $this->base->up;
        $above = max(0.0, -$up, $up - $this->height);
        if ($this->shape === 'cylinder') {
            return hypot(max(0.0, hypot($east, $north) - $this->width / 2), $above);
        }
        $across = max(0.0, abs($east * $this->cos - $north * $this->sin) - $this->width / 2);
        $along = max(0.0, abs($east * $this->sin + $north * $this->cos) - $this->length / 2);

        return sqrt($across * $across + $along * $along + $above * $above);
    }

    /** Whether it stands in the straight line from one point to another. */
    public function stands(Position $eye, Position $point): bool
    {
        // In its own axes: across, along, up; the line is eye + s (point - eye), s from 0 to 1.
        $from = $this->inOwnAxes($eye);
        $to = $this->inOwnAxes($point);
        $way = [$to[0] - $from[0], $to[1] - $from[1], $to[2] - $from[2]];
        [$begin, $end] = $this->shape === 'cylinder'
            ? self::throughCircle($from, $way, $this->width / 2)
            : self::overlap(self::within($from[0], $way[0], -$this->width / 2, $this->width / 2), self::within($from[1], $way[1], -$this->length / 2, $this->length / 2));
        [$begin, $end] = self::overlap([$begin, $end], self::within($from[2], $way[2], 0.0, $this->height));

        return max(0.0, $begin) < min(1.0, $end);
    }

    /** @return array{float, float, float} */
    private function inOwnAxes(Position $point): array
    {
        [$east, $north] = [$point->east - $this->base->east, $point->north - $this->base->north];

        return [$east * $this->cos - $north * $this->sin, $east * $this->sin + $north * $this->cos, $point->up - $this->base->up];
    }

    /**
     * The part of a line x + s w that lies between two limits, as a stretch of s; begins after its end where none does.
     *
     * @return array{float, float}
     */
    private static function within(float $x, float $w, float $least, float $most): array
    {
        if (abs($w) < 1e-12) {
            return $x > $least && $x < $most ? [-INF, INF] : [INF, -INF];
        }
        $a = ($least - $x) / $w;
        $b = ($most - $x) / $w;

        return [min($a, $b), max($a, $b)];
    }

    /**
     * @param  array{float, float, float}  $from
     * @param  array{float, float, float}  $way
     * @return array{float, float}
     */
    private static function throughCircle(array $from, array $way, float $radius): array
    {
        $a = $way[0] ** 2 + $way[1] ** 2;
        $b = $from[0] * $way[0] + $from[1] * $way[1];
        $c = $from[0] ** 2 + $from[1] ** 2 - $radius ** 2;
        if ($a < 1e-12) {
            return $c < 0 ? [-INF, INF] : [INF, -INF];
        }
        $root = $b * $b - $a * $c;

        return $root <= 0 ? [INF, -INF] : [(-$b - sqrt($root)) / $a, (-$b + sqrt($root)) / $a];
    }

    /**
     * @param  array{float, float}  $a
     * @param  array{float, float}  $b
     * @return array{float, float}
     */
    private static function overlap(array $a, array $b): array
    {
        return [max($a[0], $b[0]), min($a[1], $b[1])];
    }

    /**
     * The solid as the lens sees it: the convex outline of its projected corners, in frame fractions from the centre.
     *
     * Edges that pass behind the lens are cut at the near plane first, so no corner is ever divided by a depth of
     * zero or less. Empty where all of it lies behind the lens.
     *
     * @return list<array{float, float}> (u, v) in order round the outline
     */
    public function silhouette(View $view): array
    {
        [$right, $up, $depth] = $view->plumb();
        $foot = $top = [];
        foreach ($this->outline as $corner) {
            $foot[] = $at = $view->inLensAxes($corner);
            $top[] = [$at[0] + $right * $this->height, $at[1] + $up * $this->height, $at[2] + $depth * $this->height];
        }
        $n = count($foot);
        $points = [];
        for ($i = 0; $i < $n; $i++) {
            $next = ($i + 1) % $n;
            foreach ([[$foot[$i], $foot[$next]], [$top[$i], $top[$next]], [$foot[$i], $top[$i]]] as [$a, $b]) {
                foreach (self::cut($a, $b) as [$right, $up, $depth]) {
                    $point = $view->onPlane($right, $up, $depth);
                    if ($point !== null) {
                        $points[] = [$point->u, $point->v];
                    }
                }
            }
        }

        return self::hull($points);
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
        usort($points, static fn (array $a, array $b): int => $a[0] === $b[0] ? $a[1] <=> $b[1] : $a[0] <=> $b[0]);

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
