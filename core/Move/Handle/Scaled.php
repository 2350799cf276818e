<?php

declare(strict_types=1);

namespace Larkspur\Move\Handle;

use Larkspur\Fact;
use Larkspur\Geo\Position;
use Larkspur\Move\MovePlan;

/**
 * A point of the way that goes farther from another in the proportion in which a parameter grows: the end of a straight way, a corner of a
 * figure, a place kept beside a subject. Put aside of that line, it goes as far along it as it was put.
 */
final readonly class Scaled extends OneParameter
{
    /**
     * @param  \Closure(MovePlan): Position  $from  what stays
     * @param  \Closure(MovePlan): Position  $point  what grows
     */
    private function __construct(private Fact $name, string $id, string $parameter, private \Closure $from, private \Closure $point)
    {
        parent::__construct($id, Sheet::Above, $parameter, 0.5, 1.0);
    }

    public function label(): Fact
    {
        return $this->name;
    }

    /**
     * The end of a way, or where it begins if it is built from its end.
     *
     * @param  float  $pivot  share of the time at which the move passes the place that it is built from
     */
    public static function way(float $pivot): self
    {
        return new self(
            Fact::of($pivot < 1.0 ? 'handle.end-of-way' : 'handle.beginning-of-way'), 'end', 'length_m',
            static fn (MovePlan $plan): Position => $plan->at($plan->onset + $pivot * ($plan->stop - $plan->onset)),
            static fn (MovePlan $plan): Position => $plan->at($pivot < 1.0 ? $plan->stop : $plan->onset),
        );
    }

    /** The farthest point of a figure, which grows with its size. */
    public static function figure(string $parameter): self
    {
        return new self(
            Fact::of('handle.size'), 'size', $parameter, static fn (MovePlan $plan): Position => $plan->at(0.0), self::farthest(...),
        );
    }

    private static function farthest(MovePlan $plan): Position
    {
        $start = $plan->at(0.0);
        $far = $start;
        for ($i = 0, $n = $plan->flight->count(); $i < $n; $i += 5) {
            $here = $plan->flight->position($i);
            $far = $here->minus($start)->ground() > $far->minus($start)->ground() + 1e-6 ? $here : $far;
        }

        return $far;
    }

    /** The first corner of a figure. */
    public static function corner(string $parameter): self
    {
        return new self(
            Fact::of('handle.size'), 'size', $parameter,
            static fn (MovePlan $plan): Position => $plan->at(0.0),
            static fn (MovePlan $plan): Position => $plan->at($plan->marks[0]->t),
        );
    }

    /** The place that is kept beside a subject that moves, half-way along. */
    public static function beside(): self
    {
        $middle = static fn (MovePlan $plan): float => ($plan->onset + $plan->stop) / 2;

        return new self(
            Fact::of('handle.beside'), 'beside', 'distance_m',
            static fn (MovePlan $plan): Position => $plan->subject?->at($middle($plan)) ?? $plan->at($middle($plan)),
            static fn (MovePlan $plan): Position => $plan->at($middle($plan)),
        );
    }

    public function at(MovePlan $plan): Spot
    {
        return Spot::place(($this->point)($plan));
    }

    protected function value(MovePlan $plan, Spot $to): float
    {
        $from = ($this->from)($plan);
        $line = ($this->point)($plan)->minus($from);
        $length = $line->ground();
        if ($length < 1e-3) {
            return $this->now($plan);
        }
        $pull = $to->place->minus($from);

        return $this->now($plan) * ($pull->east * $line->east + $pull->north * $line->north) / $length ** 2;
    }
}
