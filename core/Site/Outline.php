<?php

declare(strict_types=1);

namespace Larkspur\Site;

use Larkspur\Fact;
use Larkspur\Geo\Position;
use Larkspur\Refusal;

/** Plane geometry of outlines: closed ones by their corners in order, open ones as lines. Metres over the ground. */
final class Outline
{
    /** Width of the slit that leads to a hole, m: nothing that flies gets through. */
    private const SLIT = 0.02;

    private const SLITS_TRIED = 60;

    /** Pairs of sides that are looked at closely, for each corner: those of real places are a handful. */
    private const TESTS = 10;

    /** Crossings that are undone, one after the other; what is not untangled then is no outline. */
    private const EXCHANGES = 300;

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
     *
     * @param  list<Position>  $outline
     * @return ?array{int, int}
     * @throws Refusal where so many sides lie over each other that it would take too long to say
     */
    public static function selfCrossing(array $outline): ?array
    {
        // Only sides that lie side by side from west to east can cross: they are gone through in that order, each with those that begin
        // before
        // it ends (a plane sweep over the ends alone; M. I. Shamos and D. Hoey, Proc. 17th FOCS (1976) 208-215).
        $n = count($outline);
        $west = $east = $south = $north = [];
        for ($i = 0; $i < $n; $i++) {
            [$a, $b] = [$outline[$i], $outline[($i + 1) % $n]];
            [$west[], $east[]] = $a->east < $b->east ? [$a->east, $b->east] : [$b->east, $a->east];
            [$south[], $north[]] = $a->north < $b->north ? [$a->north, $b->north] : [$b->north, $a->north];
        }
        $order = $west;
        asort($order);
        $order = array_keys($order);
        $first = null;
        $tests = 0;
        for ($k = 0; $k < $n; $k++) {
            $i = $order[$k];
            for ($l = $k + 1; $l < $n && $west[$order[$l]] <= $east[$i]; $l++) {
                $j = $order[$l];
                if ($south[$j] > $north[$i] || $north[$j] < $south[$i]) {
                    continue;
                }
                if (++$tests > self::TESTS * ($n + 40)) {
                    throw new Refusal(Fact::of('outline.too-intricate', corners: $n), '', Fact::of('outline.fewer-corners'));
                }
                [$low, $high] = $i < $j ? [$i, $j] : [$j, $i];
                $apart = $high - $low > 1 && ($high + 1) % $n !== $low;
                if ($apart && ($first === null || [$low, $high] < $first)
                    && self::cross($outline[$low], $outline[$low + 1], $outline[$high], $outline[($high + 1) % $n])) {
                    $first = [$low, $high];
                }
            }
        }

        return $first;
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
        for ($k = 0; $k < self::EXCHANGES && ($crossing = self::selfCrossing($outline)) !== null; $k++) {
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
     * The corners that matter: no other lies farther from the sides between them than $off, m (D. H. Douglas and T. K. Peucker,
     * Cartographica
     * 10 (1973) 112-122).
     *
     * @param  non-empty-list<Position>  $outline
     * @return non-empty-list<Position> in the same order, three or more
     */
    public static function simplified(array $outline, float $off): array
    {
        $n = count($outline);
        $east = $north = [];
        foreach ([...$outline, $outline[0]] as $p) {
            $east[] = $p->east;
            $north[] = $p->north;
        }
        // A ring has no ends: it is cut at its first corner and at the one that lies farthest from it.
        [$far, $most] = [0, -1.0];
        for ($i = 1; $i < $n; $i++) {
            $square = ($east[$i] - $east[0]) ** 2 + ($north[$i] - $north[0]) ** 2;
            if ($square > $most) {
                [$far, $most] = [$i, $square];
            }
        }
        $kept = [0 => true, $far => true];
        $open = [[0, $far], [$far, $n]];
        while ($open !== []) {
            [$from, $to] = array_pop($open);
            [$ae, $an] = [$east[$from], $north[$from]];
            [$de, $dn] = [$east[$to] - $ae, $north[$to] - $an];
            $length = max(1e-12, $de * $de + $dn * $dn);
            [$index, $most] = [0, $off * $off];
            for ($i = $from + 1; $i < $to; $i++) {
                [$pe, $pn] = [$east[$i] - $ae, $north[$i] - $an];
                $share = ($pe * $de + $pn * $dn) / $length;
                $share = $share < 0.0 ? 0.0 : ($share > 1.0 ? 1.0 : $share);
                $square = ($pe - $share * $de) ** 2 + ($pn - $share * $dn) ** 2;
                if ($square > $most) {
                    [$index, $most] = [$i, $square];
                }
            }
            if ($index > 0) {
                $kept[$index] = true;
                array_push($open, [$from, $index], [$index, $to]);
            }
        }
        ksort($kept);
        $corners = array_map(static fn (int $index): Position => $outline[$index], array_keys($kept));

        return count($corners) < 3 ? $outline : $corners;
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
        $i = 0;
        $tried = 0;
        while (($n = count($corners)) > 3) {
            [$a, $b, $c] = [$corners[($i + $n - 1) % $n], $corners[$i % $n], $corners[($i + 1) % $n]];
            // Where rounding leaves no ear at all, one is cut all the same: the outline gets simpler with every cut.
            if ($tried > $n || ($turn($a, $b, $c) > 0 && self::isFree([$a, $b, $c], $corners))) {
                $parts[] = [$a, $b, $c];
                array_splice($corners, $i % $n, 1);
                // What was no ear before this cut may be one now: the corner before it is looked at next.
                $i = ($i % $n + $n - 2) % max(1, $n - 1);
                $tried = 0;

                continue;
            }
            $i++;
            $tried++;
        }

        return $corners === [] ? $parts : [...$parts, $corners];
    }

    /**
     * Whether no other corner lies in a triangle.
     *
     * @param  array{Position, Position, Position}  $triangle
     * @param  list<Position>  $corners
     */
    private static function isFree(array $triangle, array $corners): bool
    {
        [$a, $b, $c] = $triangle;
        [$west, $east] = [min($a->east, $b->east, $c->east), max($a->east, $b->east, $c->east)];
        [$south, $north] = [min($a->north, $b->north, $c->north), max($a->north, $b->north, $c->north)];
        foreach ($corners as $p) {
            if ($p->east >= $west && $p->east <= $east && $p->north >= $south && $p->north <= $north
                && $p !== $a && $p !== $b && $p !== $c && self::contains($triangle, $p->east, $p->north)) {
                return false;
            }
        }

        return true;
    }

    /**
     * An outline with a hole in it as one that does not cross itself: led through a narrow slit to the hole, round it, and back. Of the
     * pairs of corners the nearest that lets the slit through is taken.
     *
     * @param  non-empty-list<Position>  $outline
     * @param  non-empty-list<Position>  $hole
     * @return ?non-empty-list<Position> null where no slit leads there
     */
    public static function keyholed(array $outline, array $hole): ?array
    {
        $outline = self::twiceArea($outline) < 0 ? array_reverse($outline) : $outline;
        $hole = self::twiceArea($hole) > 0 ? array_reverse($hole) : $hole;
        $pairs = [];
        foreach ($outline as $i => $a) {
            foreach ($hole as $j => $b) {
                $pairs["$i $j"] = $b->minus($a)->ground();
            }
        }
        asort($pairs);
        foreach (array_slice(array_keys($pairs), 0, self::SLITS_TRIED) as $pair) {
            [$i, $j] = array_map(intval(...), explode(' ', $pair));
            $round = [...array_slice($hole, $j), ...array_slice($hole, 0, $j)];
            $after = self::slit($outline[$i], $outline[($i + 1) % count($outline)]);
            $before = self::slit($hole[$j], $hole[($j - 1 + count($hole)) % count($hole)]);
            $ring = [...array_slice($outline, 0, $i + 1), ...$round, $before, $after, ...array_slice($outline, $i + 1)];
            if (self::selfCrossing($ring) === null) {
                return $ring;
            }
        }

        return null;
    }

    /** A place a slit's width from one corner toward the next. */
    private static function slit(Position $from, Position $to): Position
    {
        $way = $to->minus($from);
        $share = min(0.5, self::SLIT / max(1e-6, $way->ground()));

        return $from->plus($share * $way->east, $share * $way->north, 0.0);
    }
}
