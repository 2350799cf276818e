<?php

declare(strict_types=1);

namespace Larkspur\Move\Handle;

use Larkspur\Fact;
use Larkspur\Geo\Position;
use Larkspur\Move\MovePlan;

/** Where a subject goes that has no track of its own: its course. It turns about the place that the shot gives it. */
final readonly class SubjectCourse extends OneParameter
{
    /** @param  bool  $halfWay  whether it is at that place half-way along; else it sets off from there */
    public function __construct(private bool $halfWay)
    {
        parent::__construct('course', Sheet::Above, 'subject_course_deg', 1.0, 2.0);
    }

    public function label(): Fact
    {
        return Fact::of('handle.course');
    }

    public function at(MovePlan $plan): Spot
    {
        return Spot::place(self::subject($plan, $plan->flight->duration()));
    }

    protected function value(MovePlan $plan, Spot $to): float
    {
        return $to->bearingFrom(self::subject($plan, $this->halfWay ? ($plan->onset + $plan->stop) / 2 : 0.0));
    }

    private static function subject(MovePlan $plan, float $t): Position
    {
        return $plan->subject?->at($t) ?? $plan->at($t);
    }
}
