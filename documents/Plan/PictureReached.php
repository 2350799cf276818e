<?php

declare(strict_types=1);

namespace Documents\Plan;

use Documents\Document;

/** What a move that was set for a picture comes to. */
final readonly class PictureReached implements Document
{
    public function __construct(public float $distanceM, public float $heightM, public float $holdS)
    {
    }
}
