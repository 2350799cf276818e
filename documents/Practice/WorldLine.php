<?php

declare(strict_types=1);

namespace Documents\Practice;

use Documents\Document;

/** A wire that can be run into. */
final readonly class WorldLine implements Document
{
    /** @param  list<list<float>>  $points  east, north and height */
    public function __construct(public string $name, public array $points)
    {
    }

    /** @param  array{id: string, name: string, points: list<array{float, float, float}>}  $one */
    public static function of(array $one): self
    {
        return new self($one['name'], $one['points']);
    }
}
