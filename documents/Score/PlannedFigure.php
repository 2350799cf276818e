<?php

declare(strict_types=1);

namespace Documents\Score;

use Documents\Document;
use Documents\Units;
use Larkspur\Fact;
use Larkspur\Scoring\AsPlanned\PlanFigure;

/** A quantity of a plan, as it was planned and as it was flown. */
final readonly class PlannedFigure implements Document
{
    /**
     * @param  ?float  $planned  null where the plan left it open
     * @param  ?float  $tolerance  by which it may be off; null where there is one right way, or nothing was planned
     * @param  ?float  $score  0 to 100; null where it is not judged
     * @param  bool  $given  whether the plan states it
     * @param  ?Fact  $off  what is off about it, where it is beyond its tolerance
     */
    public function __construct(
        public string $id,
        public Fact $label,
        public ?float $planned,
        public float $flown,
        public string $unit,
        public ?float $tolerance,
        public ?float $score,
        public bool $given,
        public ?Fact $off,
    ) {
    }

    public static function of(PlanFigure $figure): self
    {
        $places = in_array(Units::name($figure->flown), ['m/s'], true) ? 2 : 1;

        return new self(
            $figure->id, $figure->label(), $figure->planned === null ? null : round(Units::value($figure->planned), $places),
            round(Units::value($figure->flown), $places), Units::name($figure->flown),
            $figure->tolerance === null ? null : round(Units::value($figure->tolerance), $places),
            $figure->score === null ? null : round($figure->score, 1), $figure->given(),
            ($figure->off ?? 0.0) > 1.0 ? $figure->difference() : null,
        );
    }
}
