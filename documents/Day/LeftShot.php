<?php

declare(strict_types=1);

namespace Documents\Day;

use Documents\Document;
use Larkspur\Fact;
use Larkspur\FlightDay\DayShot;

/** A shot that does not fit into a day, and why. */
final readonly class LeftShot implements Document
{
    /** @param  int  $fits  passes that would fit */
    public function __construct(public int $shotId, public string $title, public bool $must, public Fact $why, public int $fits)
    {
    }

    /** @param  array{shot: DayShot, why: Fact, fits: int}  $left */
    public static function of(array $left): self
    {
        return new self($left['shot']->id, $left['shot']->title, $left['shot']->must, $left['why'], $left['fits']);
    }
}
