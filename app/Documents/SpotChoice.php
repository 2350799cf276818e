<?php

declare(strict_types=1);

namespace App\Documents;

use Documents\Document;
use Larkspur\Fact;
use Larkspur\Move\Catalogue;
use Larkspur\Scoring\Fault\FaultKinds;

/** One fault that a hidden one may be. */
final readonly class SpotChoice implements Document
{
    public function __construct(public string $id, public Fact $name)
    {
    }

    /** @return list<self> the typical faults of a move */
    public static function ofMove(string $move): array
    {
        return array_map(
            static fn (string $fault): self => new self($fault, FaultKinds::name($fault)), Catalogue::move($move)->about()->faults,
        );
    }
}
