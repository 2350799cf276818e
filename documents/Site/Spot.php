<?php

declare(strict_types=1);

namespace Documents\Site;

use Documents\Document;

/** A place in a site's own metres, m about take-off. */
final readonly class Spot implements Document
{
    public function __construct(public float $eastM, public float $northM, public float $upM)
    {
    }
}
