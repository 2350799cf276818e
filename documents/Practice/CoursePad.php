<?php

declare(strict_types=1);

namespace Documents\Practice;

use Documents\Document;

/** A place of a drill at which something is measured: it is painted on the ground, and floats at its height. */
final readonly class CoursePad implements Document
{
    public function __construct(public float $eastM, public float $northM, public float $upM, public string $kind)
    {
    }
}
