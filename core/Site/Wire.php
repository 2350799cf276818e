<?php

declare(strict_types=1);

namespace Larkspur\Site;

use Larkspur\Geo\Position;
use Larkspur\Measure\Statistics;

/** A wire from support to support: hides nothing, is hard to see, and ends a flight. Metres. */
final readonly class Wire implements Body
{
    /** Straight parts that a sagging span is measured in. */
    private const PARTS = 8;

    /** @var non-empty-list<Position> */
    private array $line;

    private Position $middle;

    private float $reach;

    /**
     * @param  non-empty-list<Position>  $supports  where it hangs, two or more
     * @param  float  $sag  how far it hangs through in the middle of each span, m: a parabola, as of a shallow catenary
     */
    public function __construct(array $supports, float $sag)
    {
        $line = [$supports[0]];
        for ($i = 1, $n = count($supports); $i < $n; $i++) {
            [$a, $b] = [$supports[$i - 1], $supports[$i]];
            $parts = $sag > 0 ? self::PARTS : 1;
            for ($k = 1; $k <= $parts; $k++) {
                $s = $k / $parts;
                $line[] = $a->plus(
                    $s * ($b->east - $a->east), $s * ($b->north - $a->north), $s * ($b->up - $a->up) - 4 * $sag * $s * (1 - $s),
                );
            }
        }
        $this->line = $line;
        $this->middle = Outline::middle($line);
        $this->reach = Outline::reach($line, $this->middle);
    }

    public function top(): float
    {
        return Statistics::greatest(array_map(static fn (Position $p): float => $p->up, $this->line));
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
        $least = INF;
        for ($i = 1, $n = count($this->line); $i < $n; $i++) {
            $way = $this->line[$i]->minus($this->line[$i - 1]);
            $from = $point->minus($this->line[$i - 1]);
            $length = max(1e-12, $way->east ** 2 + $way->north ** 2 + $way->up ** 2);
            $s = max(0.0, min(1.0, ($from->east * $way->east + $from->north * $way->north + $from->up * $way->up) / $length));
            $least = min(
                $least, ($from->east - $s * $way->east) ** 2 + ($from->north - $s * $way->north) ** 2 + ($from->up - $s * $way->up) ** 2,
            );
        }

        return sqrt($least);
    }

    public function stands(Position $eye, Position $point): bool
    {
        return false;
    }

    public function corners(): array
    {
        return array_map(static fn (array $edges): array => $edges[0], $this->edges());
    }

    public function edges(): array
    {
        $edges = [];
        for ($i = 1, $n = count($this->line); $i < $n; $i++) {
            $edges[] = [[$this->line[$i - 1], $this->line[$i]]];
        }

        return $edges;
    }

    public function about(): array
    {
        return [];
    }
}
