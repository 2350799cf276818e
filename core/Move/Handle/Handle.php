<?php

declare(strict_types=1);

namespace Larkspur\Move\Handle;

use Larkspur\Controls\Finger;
use Larkspur\Fact;
use Larkspur\Move\Catalogue;
use Larkspur\Move\MovePlan;

/**
 * What can be pulled on a sheet to change a shot: where it stands on a plan, and what the parameters become when it is put elsewhere. Both
 * speak of the plan that is on show, so that a pull means what was seen.
 */
abstract readonly class Handle
{
    /** @param  ?Finger  $finger  on whose stave of the thumb sheet it stands; over all of them where null */
    public function __construct(public string $id, public Sheet $sheet, public ?Finger $finger = null)
    {
    }

    abstract public function at(MovePlan $plan): Spot;

    /** @return array<string, float> what the parameters become when it is put there, by id */
    abstract public function put(MovePlan $plan, Spot $to): array;

    /**
     * The same by arrow keys.
     *
     * @param  float  $right  steps to the right, or on in time
     * @param  float  $up  steps up, or to the north
     * @return array<string, float>
     */
    abstract public function nudge(MovePlan $plan, float $right, float $up): array;

    /** What it is called. */
    abstract public function label(): Fact;

    /** A value of a parameter of the planned move: to the nearest step, no lower and no higher than the move takes it. */
    protected static function within(MovePlan $plan, string $id, float $value, ?float $step = null): float
    {
        foreach (Catalogue::move($plan->intent->move)->parameters() as $parameter) {
            if ($parameter->id === $id) {
                return $parameter->nearest($value, $step);
            }
        }

        throw new \LogicException("{$plan->intent->move} has no {$id}.");
    }
}
