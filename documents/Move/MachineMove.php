<?php

declare(strict_types=1);

namespace Documents\Move;

use Documents\Document;
use Larkspur\Fact;
use Larkspur\Move\Catalogue;
use Larkspur\Move\MachineFlown;

/** A move that many craft fly by themselves, and the one that shows the same by hand. */
final readonly class MachineMove implements Document
{
    /** @param  list<Fact>  $steps  in order */
    public function __construct(
        public string $id,
        public Fact $name,
        public Fact $does,
        public string $byHand,
        public Fact $byHandName,
        public array $steps,
    ) {
    }

    /** @return list<self> */
    public static function all(): array
    {
        return array_map(static fn (MachineFlown $one): self => new self(
            $one->value, $one->name(), $one->does(), $one->byHand(), Catalogue::nameOf($one->byHand()), $one->steps(),
        ), MachineFlown::cases());
    }
}
