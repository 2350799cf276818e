<?php

declare(strict_types=1);

namespace Documents\Practice;

use Documents\Document;
use Larkspur\Geo\Position;

/** Something upright that can be run into. */
final readonly class WorldUpright implements Document
{
    /** @param  list<list<float>>  $ring  east and north of its corners */
    public function __construct(public string $id, public string $name, public float $baseM, public float $topM, public array $ring)
    {
    }

    /** @param  array{id: string, name: string, base: float, top: float, ring: non-empty-list<Position>}  $one */
    public static function of(array $one): self
    {
        return new self(
            $one['id'], $one['name'], $one['base'], $one['top'], array_map(
                static fn (Position $p): array => [$p->east, $p->north], $one['ring'],
            ),
        );
    }
}
