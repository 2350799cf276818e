<?php

declare(strict_types=1);

namespace Documents\Score;

use Documents\Document;
use Larkspur\Scoring\AsPlanned\PlanMatch;

/** Whether a take is the shot that was planned. */
final readonly class PlanMatchDocument implements Document
{
    /**
     * @param  'as-planned'|'near'|'another-shot'  $verdict
     * @param  float  $match  0 to 100
     * @param  list<PlannedFigure>  $figures  the worst first; then those that the plan left open
     */
    public function __construct(public string $verdict, public float $match, public array $figures)
    {
    }

    public static function of(PlanMatch $plan): self
    {
        return new self($plan->verdict, round($plan->match, 1), array_map(PlannedFigure::of(...), $plan->figures));
    }
}
