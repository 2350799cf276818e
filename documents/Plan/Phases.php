<?php

declare(strict_types=1);

namespace Documents\Plan;

use Documents\Document;
use Larkspur\Move\MovePlan;

/** When a move begins, is held and ends, s. */
final readonly class Phases implements Document
{
    public function __construct(
        public float $onsetS,
        public float $holdFromS,
        public float $holdToS,
        public float $stopS,
        public float $durationS,
        public float $leadS,
    ) {
    }

    public static function of(MovePlan $plan): self
    {
        return new self(
            round($plan->onset, 2), round($plan->holdFrom, 2), round($plan->holdTo, 2), round($plan->stop, 2),
            round($plan->flight->duration(), 2), round($plan->lead, 2),
        );
    }
}
