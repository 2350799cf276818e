<?php

declare(strict_types=1);

namespace Documents\Score;

use Documents\Document;
use Documents\Units;
use Larkspur\Fact;
use Larkspur\Scoring\Fault\Fault as FoundFault;
use Larkspur\Scoring\Score;

/** One fault of a take, pinned to its time. */
final readonly class Fault implements Document
{
    /**
     * @param  float  $cost  points, with its share of what the part that it spoils lacks
     * @param  'slight'|'clear'|'ruinous'  $severity
     * @param  'hand'|'outside'|'unknown'  $cause
     * @param  'climb'|'turn'|'run'|'slide'|'tilt'|null  $finger  whose change would mend it
     * @param  'left'|'right'|'up'|'down'|null  $side  to which what is filmed went
     */
    public function __construct(
        public string $id,
        public Fact $name,
        public string $axis,
        public float $tS,
        public float $untilS,
        public float $worstS,
        public float $size,
        public string $unit,
        public string $severity,
        public float $cost,
        public ?Fact $picture,
        public Fact $try,
        public string $cause,
        public ?string $finger,
        public ?string $side,
    ) {
    }

    public static function of(FoundFault $fault, Score $score): self
    {
        return new self(
            $fault->id, $fault->name(), $fault->axis, round($fault->t, 2), round($fault->until, 2), round($fault->worst, 2),
            round(Units::value($fault->size), 2), Units::name($fault->size),
            $fault->grade(), round($score->cost($fault), 1), $fault->picture, $score->cure($fault),
            $fault->origin->cause ?? 'unknown', $fault->origin?->finger?->value, $fault->origin?->side,
        );
    }
}
