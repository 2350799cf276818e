<?php

declare(strict_types=1);

namespace Documents\Practice;

use Documents\Document;

/** How the press of record shakes the controller: for so long, by so much of a travel. */
final readonly class Jolt implements Document
{
    public function __construct(public float $seconds, public float $travel)
    {
    }
}
