<?php

declare(strict_types=1);

namespace Larkspur\Site;

use Larkspur\Geo\Position;

/** An upright body over any outline that does not cross itself: a box, a walled yard, the crown of a wood. Metres. */
final class Prism implements Body
{
    /**
     * Of an outline with more corners than this the picture shows those that matter, to a hundredth of its reach; distances are its own.
     */
    private const SEEN = 60;

    private const GRAIN = 0.01;

    private readonly Position $middle;

    private readonly float $reach;

    /** @var ?list<non-empty-list<Position>> feet of its convex parts, worked out when first asked for */
    private ?array $parts = null;

    /** @var ?non-empty-list<Position> likewise: the corners that the picture shows */
    private ?array $seen = null;

    /** @var ?list<list<Position>> likewise */
    private ?array $corners = null;

    /**
     * @param  non-empty-list<Position>  $outline  in order round it, three or more; all at the height of the foot
     */
    public function __construct(public readonly array $outline, private readonly float $height)
    {
        $this->middle = Outline::middle($outline);
        $this->reach = Outline::reach($outline, $this->middle);
    }

    public function top(): float
    {
        return $this->middle->up + $this->height;
    }

    public function middle(): Position
    {
        return $this->middle;
    }

    public function reach(): float
    {
        return $this->reach;
    }

    public function distance(Position $point): float
    {
        $up = $point->up - $this->middle->up;

        return hypot(Outline::distance($this->outline, $point->east, $point->north), max(0.0, -$up, $up - $this->height));
    }

    public function stands(Position $eye, Position $point): bool
    {
        [$we, $wn, $wu] = [$point->east - $eye->east, $point->north - $eye->north, $point->up - $eye->up];
        $floor = $eye->up - $this->middle->up;
        // The stretch of the line eye + s way that lies between foot and top, then those that lie over the outline.
        [$low, $high] = self::between($floor, $wu, 0.0, $this->height);
        $low = max(0.0, $low);
        $high = min(1.0, $high);
        if ($low >= $high) {
            return false;
        }
        if (abs($we) < 1e-12 && abs($wn) < 1e-12) {
            return Outline::contains($this->outline, $eye->east, $eye->north);
        }
        $crossings = [];
        $last = $this->outline[count($this->outline) - 1];
        $before = $we * ($last->north - $eye->north) - $wn * ($last->east - $eye->east);
        foreach ($this->outline as $corner) {
            $side = $we * ($corner->north - $eye->north) - $wn * ($corner->east - $eye->east);
            if (($side >= 0) !== ($before >= 0)) {
                $share = $before / ($before - $side);
                $e = $last->east + $share * ($corner->east - $last->east) - $eye->east;
                $n = $last->north + $share * ($corner->north - $last->north) - $eye->north;
                $crossings[] = ($e * $we + $n * $wn) / ($we * $we + $wn * $wn);
            }
            [$last, $before] = [$corner, $side];
        }
        sort($crossings);
        for ($i = 0; $i + 1 < count($crossings); $i += 2) {
            if (max($low, $crossings[$i]) < min($high, $crossings[$i + 1])) {
                return true;
            }
        }

        return false;
    }

    /**
     * The part of x + s w that lies between two limits, as a stretch of s; begins after its end where none does.
     *
     * @return array{float, float}
     */
    public static function between(float $x, float $w, float $least, float $most): array
    {
        if (abs($w) < 1e-12) {
            return $x > $least && $x < $most ? [-INF, INF] : [INF, -INF];
        }
        $a = ($least - $x) / $w;
        $b = ($most - $x) / $w;

        return [min($a, $b), max($a, $b)];
    }

    public function edges(): array
    {
        return array_map(fn (array $piece): array => self::upright($piece, $this->height), $this->parts());
    }

    public function corners(): array
    {
        return $this->corners ??= array_map(
            fn (array $piece): array => [...$piece, ...array_map(fn (Position $p): Position => $p->plus(0, 0, $this->height), $piece)],
            $this->parts(),
        );
    }

    public function about(): array
    {
        $seen = count($this->outline) > self::SEEN ? $this->seen() : [];

        return [...$seen, ...array_map(fn (Position $p): Position => $p->plus(0, 0, $this->height), $seen)];
    }

    /** @return non-empty-list<Position> */
    private function seen(): array
    {
        return $this->seen ??= count($this->outline) > self::SEEN
            ? Outline::simplified($this->outline, self::GRAIN * $this->reach) : $this->outline;
    }

    /** @return list<non-empty-list<Position>> */
    private function parts(): array
    {
        return $this->parts ??= Outline::convexParts($this->seen());
    }

    /**
     * The edges of an upright prism: round its foot, round its top, and up each corner.
     *
     * @param  list<Position>  $foot
     * @return list<array{Position, Position}>
     */
    public static function upright(array $foot, float $height): array
    {
        $edges = [];
        $n = count($foot);
        $top = array_map(static fn (Position $p): Position => $p->plus(0, 0, $height), $foot);
        for ($i = 0; $i < $n; $i++) {
            $next = ($i + 1) % $n;
            $edges[] = [$foot[$i], $foot[$next]];
            $edges[] = [$top[$i], $top[$next]];
            $edges[] = [$foot[$i], $top[$i]];
        }

        return $edges;
    }
}
