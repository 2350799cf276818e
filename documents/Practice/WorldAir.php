<?php

declare(strict_types=1);

namespace Documents\Practice;

use Documents\Document;
use Larkspur\Flight\Air;

/** The air's motion over the ground at knots in time, gone through backward after the last; and a draught in one place. */
final readonly class WorldAir implements Document
{
    /**
     * @param  list<float>  $eastMps
     * @param  list<float>  $northMps
     */
    public function __construct(public int $knotSteps, public array $eastMps, public array $northMps, public ?WorldDraught $draught)
    {
    }

    public static function of(Air $air): self
    {
        $d = $air->draught;

        return new self(
            Air::KNOT, $air->east, $air->north,
            $d === null ? null : new WorldDraught($d->east, $d->north, $d->radius, $d->eastRate, $d->northRate),
        );
    }
}
