<?php

declare(strict_types=1);

namespace Larkspur\Scoring\AsPlanned;

/** How far a figure reaches, m: along its first heading, across it, and upward. */
final readonly class Reach
{
    public function __construct(public float $ahead, public float $aside, public float $up)
    {
    }
}
