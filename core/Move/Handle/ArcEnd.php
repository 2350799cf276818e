<?php

declare(strict_types=1);

namespace Larkspur\Move\Handle;

use Larkspur\Fact;
use Larkspur\Geo\Position;
use Larkspur\Move\MovePlan;
use Larkspur\Move\Shape\Stance;

/** The end of a way round: the arc, keeping the whole turns that are there already. */
final readonly class ArcEnd extends OneParameter
{
    public function __construct()
    {
        parent::__construct('end', Sheet::Above, 'arc_deg', 1.0, 5.0);
    }

    public function label(): Fact
    {
        return Fact::of('handle.end-of-arc');
    }

    public function at(MovePlan $plan): Spot
    {
        return Spot::place($plan->flight->position($plan->flight->count() - 1));
    }

    protected function value(MovePlan $plan, Spot $to): float
    {
        $subject = $plan->subject?->first() ?? new Position(0.0, 0.0, 0.0);
        $way = Stance::way($plan->intent, 'direction');
        $arc = fmod($way * ($to->bearingFrom($subject) - ($plan->intent->number('start_bearing_deg') ?? 0.0)) + 1080.0, 360.0);

        return $arc + 360.0 * round(($this->now($plan) - $arc) / 360.0);
    }
}
