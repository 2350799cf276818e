<?php

declare(strict_types=1);

namespace Documents\Score;

use Documents\Document;
use Documents\Units;
use Larkspur\Fact;
use Larkspur\Scoring\Fault\Fault as FoundFault;
use Larkspur\Scoring\Fault\FaultKinds;
use Larkspur\Scoring\Score;

/** One fault of a take, pinned to its time. */
final readonly class Fault implements Document
{
    /**
     * @param  'slight'|'clear'|'ruinous'  $severity
     */
    public function __construct(
        public string $id,
        public Fact $name,
        public string $axis,
        public float $tS,
        public float $untilS,
        public float $size,
        public string $unit,
        public string $severity,
        public float $cost,
        public ?Fact $picture,
        public Fact $try,
    ) {
    }

    public static function of(FoundFault $fault, Score $score): self
    {
        return new self(
            $fault->id, FaultKinds::name($fault->id), $fault->axis, round($fault->t, 2), round($fault->until, 2),
            round(Units::value($fault->size), 2), Units::name($fault->size),
            $fault->grade(), round($score->cost($fault), 1), $fault->picture, FaultKinds::cue($fault->id),
        );
    }
}
