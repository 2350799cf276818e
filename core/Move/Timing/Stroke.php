<?php

declare(strict_types=1);

namespace Larkspur\Move\Timing;

use Larkspur\Measure\Ramp;

/**
 * What one axis gives over a stretch of time: rest, a swell to its rate, a hold, a fade back to rest. Amounts in metres
 * or radians, signed; times in seconds since the start of the recording.
 *
 * A swell and a fade each cover half of what the rate would cover in their time, so amount = rate (to - from - (in + out) / 2).
 * Eases too long for the stretch are shortened together until the hold vanishes.
 */
final readonly class Stroke
{
    public float $easeIn;

    public float $easeOut;

    /** Rate during the hold, per second. */
    public float $rate;

    public function __construct(public float $amount, public float $from, public float $to, float $easeIn, ?float $easeOut = null)
    {
        $easeOut ??= $easeIn;
        $share = min(1.0, ($to - $from) / max(1e-6, $easeIn + $easeOut));
        $this->easeIn = max(1e-3, $easeIn * $share);
        $this->easeOut = max(1e-3, $easeOut * $share);
        $this->rate = $amount / max(1e-6, $to - $from - ($this->easeIn + $this->easeOut) / 2);
    }

    /** What has been given by a time. */
    public function at(float $t): float
    {
        return $this->rate * (
            $this->easeIn * Ramp::travel(($t - $this->from) / $this->easeIn)
            - $this->easeOut * Ramp::travel(($t - $this->to + $this->easeOut) / $this->easeOut)
        );
    }

    /** The same stretch of time and the same eases, another amount. */
    public function of(float $amount): self
    {
        return new self($amount, $this->from, $this->to, $this->easeIn, $this->easeOut);
    }
}
