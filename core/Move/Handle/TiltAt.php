<?php

declare(strict_types=1);

namespace Larkspur\Move\Handle;

use Larkspur\Fact;
use Larkspur\Measure\Angle;
use Larkspur\Move\MovePlan;

/** The middle of the picture at the start or at the end, seen from the side: the tilt of the lens there. */
final readonly class TiltAt extends OneParameter
{
    private function __construct(string $id, string $parameter, private bool $last)
    {
        parent::__construct($id, Sheet::Side, $parameter, 1.0, 1.0);
    }

    public static function start(): self
    {
        return new self('tilt-start', 'tilt_start_deg', false);
    }

    public static function end(): self
    {
        return new self('tilt-end', 'tilt_end_deg', true);
    }

    public function label(): Fact
    {
        return Fact::of($this->last ? 'handle.tilt-end' : 'handle.tilt-start');
    }

    public function at(MovePlan $plan): Spot
    {
        $i = $this->last ? $plan->flight->count() - 1 : 0;

        return Spot::tilt($plan->flight->position($i), $plan->flight->tilt[$i]);
    }

    protected function value(MovePlan $plan, Spot $to): float
    {
        return $this->now($plan) + (($to->tilt ?? 0.0) - ($this->at($plan)->tilt ?? 0.0)) / Angle::DEGREE;
    }
}
