<?php

declare(strict_types=1);

namespace App\Documents;

use Documents\Document;

/** A place on a site, from its take-off point. */
final readonly class FirstPlace implements Document
{
    /**
     * @param  float  $baseM  of its foot above take-off
     * @param  float  $aimM  of what is aimed at above its foot
     */
    public function __construct(public float $eastM, public float $northM, public float $baseM, public float $aimM)
    {
    }
}
