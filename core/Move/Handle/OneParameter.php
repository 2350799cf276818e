<?php

declare(strict_types=1);

namespace Larkspur\Move\Handle;

use Larkspur\Controls\Finger;
use Larkspur\Move\MovePlan;

/** A handle that changes one parameter, which an arrow key changes by a step. */
abstract readonly class OneParameter extends Handle
{
    /**
     * @param  float  $grain  to which the parameter is rounded when it is pulled
     * @param  float  $step  of an arrow key
     */
    public function __construct(
        string $id, Sheet $sheet, public string $parameter, protected float $grain, protected float $step, ?Finger $finger = null,
    ) {
        parent::__construct($id, $sheet, $finger);
    }

    /** What the parameter becomes, before it is rounded and kept within what the move takes. */
    abstract protected function value(MovePlan $plan, Spot $to): float;

    public function put(MovePlan $plan, Spot $to): array
    {
        return [$this->parameter => self::within($plan, $this->parameter, $this->value($plan, $to), $this->grain)];
    }

    public function nudge(MovePlan $plan, float $right, float $up): array
    {
        return [$this->parameter => self::within(
            $plan, $this->parameter, $this->now($plan) + $this->step($plan) * ($right + $up), min($this->grain, $this->step),
        )];
    }

    /** What an arrow key adds to the parameter. */
    protected function step(MovePlan $plan): float
    {
        return $this->step;
    }

    protected function now(MovePlan $plan): float
    {
        return $plan->intent->number($this->parameter) ?? 0.0;
    }
}
