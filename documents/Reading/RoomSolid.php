<?php

declare(strict_types=1);

namespace Documents\Reading;

use Documents\Document;

/** How near the way comes to something, and how near it may. */
final readonly class RoomSolid implements Document
{
    public function __construct(
        public string $id,
        public string $name,
        public float $distanceM,
        public float $atS,
        public float $marginM,
        public bool $ok,
    ) {
    }

    /** @param  array{id: string, name: string, distance: float, at: float, margin: float}  $solid */
    public static function of(array $solid): self
    {
        return new self(
            $solid['id'], $solid['name'], round($solid['distance'], 2), round($solid['at'], 1), round($solid['margin'], 2),
            $solid['distance'] >= $solid['margin'],
        );
    }
}
