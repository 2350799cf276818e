<?php

declare(strict_types=1);

namespace Documents\Score;

use Documents\Document;
use Larkspur\Fact;
use Larkspur\Scoring\Loss;

/** Points that a take lost, and to what. */
final readonly class LossDocument implements Document
{
    /**
     * @param  string  $part  of the score
     * @param  ?string  $fault  id; null where no single fault accounts for it
     * @param  ?float  $tS  when the fault is worst, s
     * @param  'ease'|'flow'|'hold'|'line'|'frame'  $petal
     */
    public function __construct(
        public string $part,
        public ?string $fault,
        public ?float $tS,
        public Fact $name,
        public string $petal,
        public float $points,
    ) {
    }

    public static function of(Loss $loss): self
    {
        return new self(
            $loss->part, $loss->fault?->id, $loss->fault === null ? null : round($loss->fault->worst, 2),
            $loss->fault?->name() ?? Fact::of("part.$loss->part"), $loss->petal->value, round($loss->points, 2),
        );
    }
}
