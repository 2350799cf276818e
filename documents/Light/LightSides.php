<?php

declare(strict_types=1);

namespace Documents\Light;

use Documents\Document;

/** From which sides the light falls on a shot at an instant. */
final readonly class LightSides implements Document
{
    /** @param  list<string>  $sides  front, side, back, or none where the sun is well below the horizon */
    public function __construct(public string $at, public array $sides)
    {
    }
}
