<?php

declare(strict_types=1);

namespace Documents\Progress;

use Documents\Document;

/** Where a standing was at one take, in the light of all of them. */
final readonly class BandPoint implements Document
{
    /**
     * @param  string  $at  UTC
     * @param  float  $sure  half the width of the interval of 90 %, points
     */
    public function __construct(public string $at, public float $mean, public float $sure)
    {
    }
}
