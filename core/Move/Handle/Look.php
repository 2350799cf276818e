<?php

declare(strict_types=1);

namespace Larkspur\Move\Handle;

use Larkspur\Fact;
use Larkspur\Geo\Position;
use Larkspur\Measure\Angle;
use Larkspur\Move\MovePlan;

/**
 * Where the lens looks at the place that a move is built from: the heading. It stands before the subject, where the way that is flown has
 * mostly ended.
 */
final readonly class Look extends OneParameter
{
    /** How far off it stands, as a share of the distance to the subject, and at least, m. */
    private const BEFORE = 0.85;

    private const LEAST = 6.0;

    /** @param  float  $pivot  share of the time at which the move passes that place */
    public function __construct(private float $pivot)
    {
        parent::__construct('heading', Sheet::Above, 'heading_deg', 1.0, 2.0);
    }

    public function label(): Fact
    {
        return Fact::of('handle.heading');
    }

    public function at(MovePlan $plan): Spot
    {
        $from = $this->from($plan);
        $heading = $this->heading($plan);
        $far = max(self::LEAST, self::BEFORE * ($plan->subject?->first()->minus($from)->ground() ?? 0.0));

        return Spot::place($from->plus($far * sin($heading), $far * cos($heading), 0.0));
    }

    protected function value(MovePlan $plan, Spot $to): float
    {
        return $to->bearingFrom($this->from($plan));
    }

    /** Where none is stated the craft faces its subject: what it does is turned, not what was stated. */
    protected function now(MovePlan $plan): float
    {
        return Angle::bearing($this->heading($plan));
    }

    private function from(MovePlan $plan): Position
    {
        return $plan->at($this->passed($plan));
    }

    private function heading(MovePlan $plan): float
    {
        return $plan->flight->heading[$plan->flight->indexAt($this->passed($plan))];
    }

    private function passed(MovePlan $plan): float
    {
        return $plan->onset + $this->pivot * ($plan->stop - $plan->onset);
    }
}
