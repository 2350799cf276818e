<?php

declare(strict_types=1);

namespace Larkspur\Site;

use Larkspur\Geo\Position;

/** An upright cylinder: drawn as a prism of twelve sides, measured as it is. Metres. */
final readonly class Cylinder implements Body
{
    private const SIDES = 12;

    public function __construct(private Position $foot, private float $radius, private float $height)
    {
    }

    public function top(): float
    {
        return $this->foot->up + $this->height;
    }

    public function middle(): Position
    {
        return $this->foot;
    }

    public function reach(): float
    {
        return $this->radius;
    }

    public function distance(Position $point): float
    {
        $up = $point->up - $this->foot->up;

        return hypot(
            max(0.0, hypot($point->east - $this->foot->east, $point->north - $this->foot->north) - $this->radius),
            max(0.0, -$up, $up - $this->height),
        );
    }

    public function stands(Position $eye, Position $point): bool
    {
        [$e, $n] = [$eye->east - $this->foot->east, $eye->north - $this->foot->north];
        [$we, $wn] = [$point->east - $eye->east, $point->north - $eye->north];
        [$low, $high] = Prism::between($eye->up - $this->foot->up, $point->up - $eye->up, 0.0, $this->height);
        // |from + s way| = radius over the ground.
        $a = $we * $we + $wn * $wn;
        $b = $e * $we + $n * $wn;
        $c = $e * $e + $n * $n - $this->radius ** 2;
        if ($a < 1e-12) {
            return $c < 0 && max(0.0, $low) < min(1.0, $high);
        }
        $root = $b * $b - $a * $c;

        return $root > 0 && max(0.0, $low, (-$b - sqrt($root)) / $a) < min(1.0, $high, (-$b + sqrt($root)) / $a);
    }

    /** @return non-empty-list<Position> foot of the prism that it is drawn as */
    public function foot(): array
    {
        return array_map(
            fn (int $i): Position => $this->foot->plus(
                sin(2 * M_PI * $i / self::SIDES) * $this->radius, cos(2 * M_PI * $i / self::SIDES) * $this->radius, 0,
            ),
            range(0, self::SIDES - 1),
        );
    }

    public function edges(): array
    {
        return [Prism::upright($this->foot(), $this->height)];
    }

    public function corners(): array
    {
        $foot = $this->foot();

        return [[...$foot, ...array_map(fn (Position $p): Position => $p->plus(0, 0, $this->height), $foot)]];
    }

    public function about(): array
    {
        return [];
    }
}
