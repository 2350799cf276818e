<?php

declare(strict_types=1);

namespace Documents\Rig;

use Documents\Document;

/** A rate and a cushion in the numbers that the craft's own screens show. */
final readonly class OwnNumbers implements Document
{
    public function __construct(public float $rate, public float $cushion)
    {
    }
}
