<?php

declare(strict_types=1);

namespace Documents\Move;

use Documents\Document;
use Documents\Map;

/** Axes that move at once, and the moves that this is. */
final readonly class AxisCombination implements Document
{
    /**
     * @param  Map<int>  $axes  by finger: 1 or -1
     * @param  list<string>  $moves  ids
     */
    public function __construct(public Map $axes, public array $moves)
    {
    }
}
