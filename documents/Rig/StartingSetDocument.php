<?php

declare(strict_types=1);

namespace Documents\Rig;

use Documents\Document;
use Documents\Shape;
use Larkspur\Fact;
use Larkspur\Rig\Craft;
use Larkspur\Rig\Rig;
use Larkspur\Rig\StartingSet;

/** A set of settings to begin with, laid over a rig; nothing is kept. */
final readonly class StartingSetDocument implements Document
{
    /** @param  array<string, mixed>  $settings */
    public function __construct(
        public string $id, public Fact $name, public Fact $why, public Fact $houseWords, #[Shape('RigSettings')] public array $settings,
    ) {
    }

    /** @return list<self> */
    public static function for(Craft $craft, Rig $rig): array
    {
        return array_map(
            static fn (StartingSet $set): self => new self(
                $set->value, $set->name(), $set->why(), $set->house()->words(), $set->on($craft, $rig)->settings(),
            ),
            StartingSet::for($craft),
        );
    }
}
