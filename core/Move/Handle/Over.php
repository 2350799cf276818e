<?php

declare(strict_types=1);

namespace Larkspur\Move\Handle;

use Larkspur\Fact;
use Larkspur\Move\MovePlan;

/** When a move is over: the pace that it goes by, or the seconds that it takes. */
final readonly class Over extends OneParameter
{
    /** Shortest time between first motion and the end of the hold that a pull asks for, s. */
    private const SHORTEST = 0.5;

    /** Share of the pace by which an arrow key changes it. */
    private const NUDGE = 0.02;

    private function __construct(string $id, string $parameter, private bool $byPace)
    {
        parent::__construct($id, Sheet::Thumbs, $parameter, $byPace ? 0.01 : 0.1, $byPace ? 0.1 : 0.5);
    }

    public static function pace(string $parameter): self
    {
        return new self('pace', $parameter, true);
    }

    public static function seconds(): self
    {
        return new self('seconds', 'duration_s', false);
    }

    public function label(): Fact
    {
        return Fact::of($this->byPace ? 'handle.over-by-pace' : 'handle.over-by-seconds');
    }

    public function at(MovePlan $plan): Spot
    {
        return Spot::time($plan->stop);
    }

    /** At a pace v the hold ends v's share of the way after first motion; what follows, the fade, stays. */
    protected function value(MovePlan $plan, Spot $to): float
    {
        if (! $this->byPace) {
            return $this->now($plan) + $to->t - $plan->stop;
        }
        $held = $plan->holdTo - $plan->onset;
        $fade = $plan->stop - $plan->holdTo;

        return $this->now($plan) * $held / max(self::SHORTEST, $to->t - $fade - $plan->onset);
    }

    /** An arrow key moves the end of the move: to the right is slower, by a fiftieth of the pace. */
    protected function step(MovePlan $plan): float
    {
        return $this->byPace ? -max($this->grain, abs($this->now($plan)) * self::NUDGE) * ($this->now($plan) <=> 0.0) : parent::step($plan);
    }
}
