<?php

declare(strict_types=1);

namespace Documents\Replay;

use Documents\Document;
use Documents\Map;
use Larkspur\Measure\Angle;
use Larkspur\Measure\Series;
use Larkspur\Scoring\PlannedReplay;

/** The planned shot on the clock of the take. */
final readonly class ReplayPlanned implements Document
{
    /**
     * @param  list<float>  $t
     * @param  list<float>  $eastM
     * @param  list<float>  $northM
     * @param  list<float>  $upM
     * @param  list<float>  $headingDeg
     * @param  Map<list<float>>  $fingers
     */
    public function __construct(
        public array $t,
        public array $eastM,
        public array $northM,
        public array $upM,
        public array $headingDeg,
        public Map $fingers,
        public float $holdFromS,
        public float $holdToS,
    ) {
    }

    public static function of(PlannedReplay $planned): self
    {
        $flight = $planned->flight;

        return new self(
            Series::rounded($flight->t, 2, 1.0, $planned->shift), Series::rounded($flight->east, 2), Series::rounded($flight->north, 2),
            Series::rounded($flight->up, 2), Series::rounded($flight->heading, 2, 1 / Angle::DEGREE),
            new Map(array_map(static fn (array $travel): array => Series::rounded($travel, 3), $planned->fingers)),
            round($planned->plan->move->holdFrom + $planned->shift, 2), round($planned->plan->move->holdTo + $planned->shift, 2),
        );
    }
}
