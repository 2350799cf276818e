<?php

declare(strict_types=1);

namespace Larkspur\Move\Handle;

use Larkspur\Fact;
use Larkspur\Move\MovePlan;

/** When the pace is reached and held: the ease. */
final readonly class Ease extends OneParameter
{
    public function __construct()
    {
        parent::__construct('ease', Sheet::Thumbs, 'ease_s', 0.1, 0.2);
    }

    public function label(): Fact
    {
        return Fact::of('handle.ease');
    }

    public function at(MovePlan $plan): Spot
    {
        return Spot::time($plan->holdFrom);
    }

    protected function value(MovePlan $plan, Spot $to): float
    {
        return $this->now($plan) + $to->t - $plan->holdFrom;
    }
}
