<?php

declare(strict_types=1);

namespace Larkspur\Flight;

use Larkspur\Controls\Answers;
use Larkspur\Controls\Finger;

/** A table of travel to rate for each finger, read on the straight line between two places: what a page steps by. */
final readonly class TabledAnswers implements Answers
{
    /** @param  array<value-of<Finger>, non-empty-list<float>>  $rates  from full travel one way to full travel the other */
    public function __construct(public array $rates)
    {
    }

    public function asked(Finger $finger, float $travel): float
    {
        $rates = $this->rates[$finger->value];
        $last = count($rates) - 1;
        $place = (max(-1.0, min(1.0, $travel)) + 1) / 2 * $last;
        $below = (int) min($last - 1, floor($place));

        return $rates[$below] + ($place - $below) * ($rates[$below + 1] - $rates[$below]);
    }
}
