<?php

declare(strict_types=1);

namespace App\Documents;

use Documents\Document;

/** Where on its way a subject stands for a while: the first corner is 1. */
final readonly class RouteStop implements Document
{
    public function __construct(public int $corner, public float $s)
    {
    }
}
