<?php

declare(strict_types=1);

namespace Documents\Plan;

use Documents\Document;
use Larkspur\Fact;

/** Which move is planned. */
final readonly class PlanMove implements Document
{
    public function __construct(
        public string $id,
        public Fact $name,
    ) {
    }
}
