<?php

declare(strict_types=1);

namespace Larkspur\Move\Handle;

use Larkspur\Fact;
use Larkspur\Move\MovePlan;

/** The end of the way, pulled up or down: the climb on it. Of a move that is built from its end it is the beginning. */
final readonly class Climb extends OneParameter
{
    /** @param  float  $pivot  share of the time at which the move passes the place that it is built from */
    public function __construct(private float $pivot)
    {
        parent::__construct('climb', Sheet::Side, 'climb_m', 0.5, 0.5);
    }

    public function label(): Fact
    {
        return Fact::of('handle.climb');
    }

    public function at(MovePlan $plan): Spot
    {
        return Spot::place($plan->at($this->pivot < 1.0 ? $plan->flight->duration() : 0.0));
    }

    protected function value(MovePlan $plan, Spot $to): float
    {
        $raised = $to->place->up - $this->at($plan)->place->up;

        return $this->now($plan) + ($this->pivot < 1.0 ? $raised / (1.0 - $this->pivot) : -$raised);
    }
}
