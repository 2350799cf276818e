<?php

declare(strict_types=1);

namespace Larkspur\Site;

use Larkspur\Geo\Position;

/** Plane geometry of outlines: closed ones by their corners in order, open ones as lines. Metres over the ground. */
final class Outline
{
    /**
     * Middle of the upright box about points, over the ground, at the height of the lowest.
     *
     * @param  non-empty-list<Position>  $points
     */
    public static function middle(array $points): Position
    {
        [$west, $south, $low] = [$points[0]->east, $points[0]->north, $points[0]->up];
        [$east, $north] = [$west, $south];
        foreach ($points as $p) {
            $west = min($west, $p->east);
            $east = max($east, $p->east);
            $south = min($south, $p->north);
            $north = max($north, $p->north);
            $low = min($low, $p->up);
        }

        return new Position(($west + $east) / 2, ($south + $north) / 2, $low);
    }

    /**
     * No point lies farther than this from a middle, over the ground, m.
     *
     * @param  list<Position>  $points
     */
    public static function reach(array $points, Position $middle): float
    {
        $square = 0.0;
        foreach ($points as $p) {
            $square = max($square, ($p->east - $middle->east) ** 2 + ($p->north - $middle->north) ** 2);
        }

        return sqrt($square);
    }

    /**
     * Even-odd rule.
     *
     * @param  list<Position>  $outline
     */
    public static function contains(array $outline, float $east, float $north): bool
    {
        $inside = false;
        $b = $outline[count($outline) - 1];
        foreach ($outline as $a) {
            if (
                ($a->north > $north) !== ($b->north > $north)
                && $east < ($b->east - $a->east) * ($north - $a->north) / ($b->north - $a->north) + $a->east
            ) {
                $inside = ! $inside;
            }
            $b = $a;
        }

        return $inside;
    }

    /**
     * Distance from a closed outline, m; 0 inside it.
     *
     * @param  list<Position>  $outline
     */
    public static function distance(array $outline, float $east, float $north): float
    {
        return self::contains($outline, $east, $north) ? 0.0 : self::fromLine([...$outline, $outline[0]], $east, $north);
    }

    /**
     * Distance from a line through points, m.
     *
     * @param  list<Position>  $line
     */
    public static function fromLine(array $line, float $east, float $north): float
    {
        $least = INF;
        for ($i = 1, $n = count($line); $i < $n; $i++) {
            $a = $line[$i - 1];
            [$de, $dn] = [$line[$i]->east - $a->east, $line[$i]->north - $a->north];
            [$pe, $pn] = [$east - $a->east, $north - $a->north];
            $length = $de * $de + $dn * $dn;
            $share = $length < 1e-12 ? 0.0 : max(0.0, min(1.0, ($pe * $de + $pn * $dn) / $length));
            $least = min($least, ($pe - $share * $de) ** 2 + ($pn - $share * $dn) ** 2);
        }

        return sqrt($least);
    }

    /** Whether two stretches of ground cross; touching ends count. */
    public static function cross(Position $a, Position $b, Position $c, Position $d): bool
    {
        $side = static fn (
            Position $p, Position $q, Position $r,
        ): float => ($q->east - $p->east) * ($r->north - $p->north) - ($q->north - $p->north) * ($r->east - $p->east);
        $ab = [$side($a, $b, $c), $side($a, $b, $d)];
        $cd = [$side($c, $d, $a), $side($c, $d, $b)];
        if (abs($ab[0]) < 1e-12 && abs($ab[1]) < 1e-12) {
            return max(min($a->east, $b->east), min($c->east, $d->east)) <= min(max($a->east, $b->east), max($c->east, $d->east))
                && max(min($a->north, $b->north), min($c->north, $d->north)) <= min(max($a->north, $b->north), max($c->north, $d->north));
        }

        return $ab[0] * $ab[1] <= 0 && $cd[0] * $cd[1] <= 0;
    }

    /**
     * The first two sides of an outline that cross where they should not, counted from 0; null where it is simple.
     *
     * @param  list<Position>  $outline
     * @return ?array{int, int}
     */
    public static function selfCrossing(array $outline): ?array
    {
        $n = count($outline);
        for ($i = 0; $i < $n; $i++) {
            for ($j = $i + 2; $j < $n; $j++) {
                if (($j + 1) % $n !== $i && self::cross($outline[$i], $outline[($i + 1) % $n], $outline[$j], $outline[($j + 1) % $n])) {
                    return [$i, $j];
                }
            }
        }

        return null;
    }

    /**
     * The same corners in an order that does not cross itself: crossing sides are exchanged (2-opt) until none do. Every exchange
     * shortens the way round, so it ends.
     *
     * @param  list<Position>  $outline
     * @return list<Position>
     */
    public static function untangled(array $outline): array
    {
        while (($crossing = self::selfCrossing($outline)) !== null) {
            [$i, $j] = $crossing;
            $before = self::around($outline);
            $next = [
                ...array_slice($outline, 0, $i + 1), ...array_reverse(array_slice($outline, $i + 1, $j - $i)),
                ...array_slice($outline, $j + 1),
            ];
            if (self::around($next) >= $before - 1e-9) {
                break;
            }
            $outline = $next;
        }

        return $outline;
    }

    /** @param  list<Position>  $outline */
    private static function around(array $outline): float
    {
        $way = 0.0;
        foreach ($outline as $i => $p) {
            $q = $outline[($i + 1) % count($outline)];
            $way += hypot($q->east - $p->east, $q->north - $p->north);
        }

        return $way;
    }

    /**
     * Twice the area that is enclosed, m2; positive where the corners run counterclockwise seen from above.
     *
     * @param  list<Position>  $outline
     */
    public static function twiceArea(array $outline): float
    {
        $sum = 0.0;
        foreach ($outline as $i => $p) {
            $q = $outline[($i + 1) % count($outline)];
            $sum += $p->east * $q->north - $q->east * $p->north;
        }

        return $sum;
    }

    /**
     * An outline cut into convex parts: itself where it is convex, else triangles by cutting off ears (G. H. Meisters, Amer.
     * Math. Monthly 82 (1975) 648-651).
     *
     * @param  non-empty-list<Position>  $outline
     * @return list<non-empty-list<Position>>
     */
    public static function convexParts(array $outline): array
    {
        $corners = self::twiceArea($outline) < 0 ? array_reverse($outline) : $outline;
        $turn = static fn (
            Position $a, Position $b, Position $c,
        ): float => ($b->east - $a->east) * ($c->north - $b->north) - ($b->north - $a->north) * ($c->east - $b->east);
        $n = count($corners);
        $convex = true;
        for ($i = 0; $i < $n; $i++) {
            $convex = $convex && $turn($corners[$i], $corners[($i + 1) % $n], $corners[($i + 2) % $n]) >= -1e-9;
        }
        if ($convex) {
            return [$outline];
        }
        $parts = [];
        while (count($corners) > 3) {
            $n = count($corners);
            $ear = 0;
            for ($i = 0; $i < $n; $i++) {
                [$a, $b, $c] = [$corners[($i + $n - 1) % $n], $corners[$i], $corners[($i + 1) % $n]];
                if ($turn($a, $b, $c) <= 0) {
                    continue;
                }
                $free = true;
                foreach ($corners as $p) {
                    $free = $free && ($p === $a || $p === $b || $p === $c || ! self::contains([$a, $b, $c], $p->east, $p->north));
                }
                if ($free) {
                    $ear = $i;
                    break;
                }
            }
            $parts[] = [$corners[($ear + $n - 1) % $n], $corners[$ear], $corners[($ear + 1) % $n]];
            array_splice($corners, $ear, 1);
        }

        return $corners === [] ? $parts : [...$parts, $corners];
    }
}
