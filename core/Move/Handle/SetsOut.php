<?php

declare(strict_types=1);

namespace Larkspur\Move\Handle;

use Larkspur\Controls\Finger;
use Larkspur\Fact;
use Larkspur\Move\MovePlan;

/** When the tilt or the lift sets out, after the rest. */
final readonly class SetsOut extends OneParameter
{
    private function __construct(string $id, string $parameter, Finger $finger)
    {
        parent::__construct($id, Sheet::Thumbs, $parameter, 0.1, 0.2, $finger);
    }

    public static function tilt(): self
    {
        return new self('tilt-sets-out', 'tilt_after_s', Finger::Tilt);
    }

    public static function lift(): self
    {
        return new self('lift-sets-out', 'lift_after_s', Finger::Climb);
    }

    public function label(): Fact
    {
        return Fact::of($this->finger === Finger::Tilt ? 'handle.tilt-sets-out' : 'handle.lift-sets-out');
    }

    public function at(MovePlan $plan): Spot
    {
        return Spot::time($plan->onset + $this->now($plan));
    }

    protected function value(MovePlan $plan, Spot $to): float
    {
        return max(0.0, $to->t - $plan->onset);
    }
}
