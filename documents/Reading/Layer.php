<?php

declare(strict_types=1);

namespace Documents\Reading;

use Documents\Document;
use Larkspur\Fact;

/** Something near or far in the picture, and how fast it crosses. */
final readonly class Layer implements Document
{
    /**
     * @param  float  $widthsPs  widths of the picture a second
     */
    public function __construct(
        public Fact $name,
        public float $distanceM,
        public float $widthsPs,
    ) {
    }

    /** @param  ?array{name: Fact, distance: float, speed: float}  $layer */
    public static function of(?array $layer): ?self
    {
        return $layer === null ? null : new self($layer['name'], round($layer['distance'], 1), round($layer['speed'], 4));
    }
}
