<?php

declare(strict_types=1);

namespace Documents\Plan;

use Documents\Document;
use Documents\Map;
use Larkspur\Fact;
use Larkspur\Move\Catalogue;
use Larkspur\Move\Combination;
use Larkspur\Move\MovePlan;

/** Which move is planned; of a combination how many axes it plays, how hard that makes it, and its parts. */
final readonly class PlanMove implements Document
{
    /** @param  list<PlanPart>  $parts  empty for a move of its own */
    public function __construct(
        public string $id,
        public Fact $name,
        public int $axes,
        public int $level,
        public Fact $levelWords,
        public array $parts,
    ) {
    }

    public static function of(MovePlan $plan): self
    {
        $about = Catalogue::move($plan->intent->move)->about();
        [$axes, $level] = $plan->parts === []
            ? [$about->fingering->axes(), $about->level] : [Combination::axesOf($plan), Combination::levelOf($plan)];

        return new self($about->id, $about->name(), $axes, $level, Fact::of("level.$level"), array_map(
            static fn (MovePlan $part, int $k): PlanPart => new PlanPart(
                $part->intent->move, Catalogue::nameOf($part->intent->move), new Map($part->intent->parameters),
                Combination::decided($plan->intent, $k),
            ),
            $plan->parts, array_keys($plan->parts),
        ));
    }
}
