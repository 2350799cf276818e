<?php

declare(strict_types=1);

namespace Documents\Plan;

use Documents\Document;
use Documents\Map;
use Larkspur\Fact;
use Larkspur\Move\Catalogue;
use Larkspur\Move\Combination;
use Larkspur\Move\MovePlan;

/** What a combination is made of: its parts, how many axes they play, and how hard that makes it. */
final readonly class JoinedMoves implements Document
{
    /** @param  list<PlanPart>  $parts */
    public function __construct(public int $axes, public int $level, public Fact $levelWords, public array $parts)
    {
    }

    public static function of(MovePlan $plan): ?self
    {
        $level = Combination::levelOf($plan);

        return $plan->parts === [] ? null : new self(Combination::axesOf($plan), $level, Fact::of("level.$level"), array_map(
            static fn (MovePlan $part, int $k): PlanPart => new PlanPart(
                $part->intent->move, Catalogue::nameOf($part->intent->move), new Map($part->intent->parameters),
                Combination::decided($plan->intent, $k),
            ),
            $plan->parts, array_keys($plan->parts),
        ));
    }
}
