<?php

declare(strict_types=1);

namespace Larkspur\Move\Handle;

use Larkspur\Fact;
use Larkspur\Geo\Position;
use Larkspur\Move\MovePlan;

/** The height from which a move is built, above its subject's foot or the ground. */
final readonly class Height extends OneParameter
{
    /** @param  float  $pivot  share of the time at which the move passes the place that it is built from */
    public function __construct(private float $pivot)
    {
        parent::__construct('height', Sheet::Side, 'height_m', 0.5, 0.5);
    }

    public function label(): Fact
    {
        return Fact::of('handle.height');
    }

    public function at(MovePlan $plan): Spot
    {
        $built = $plan->at($plan->onset + $this->pivot * ($plan->stop - $plan->onset));

        return Spot::place(new Position($built->east, $built->north, $plan->ground + $this->now($plan)));
    }

    protected function value(MovePlan $plan, Spot $to): float
    {
        return max(0.5, $to->place->up - $plan->ground);
    }
}
