<?php

declare(strict_types=1);

namespace Documents\Practice;

use Documents\Document;
use Larkspur\Flight\GroundGrid;

/** Heights of the ground on a square grid; one height alone where it is level. */
final readonly class WorldGround implements Document
{
    /** @param  list<list<float>>  $rows  from south to north, each from west to east */
    public function __construct(public float $leastM, public float $cellM, public array $rows)
    {
    }

    public static function of(GroundGrid $grid): self
    {
        return new self($grid->least, $grid->cell, $grid->rows);
    }
}
