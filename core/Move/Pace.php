<?php

declare(strict_types=1);

namespace Larkspur\Move;

use Larkspur\Measure\Ramp;

/**
 * The speed of a move over time: rest, swell to the pace over one ease, hold, fade over one ease, rest.
 *
 * The swell and the fade each cover half of what the pace would cover in that time, so a length L at pace v
 * lasts L / v + ease from first motion to last. Where the length is too short for two whole eases, the eases
 * are shortened until the hold vanishes.
 */
final readonly class Pace
{
    /** Rest before first motion, s: the recording starts early so that its press can't shake the shot. */
    public const SETTLE = 3.0;

    /** Rest after last motion, s: the recording ends only after a full stop. */
    public const REST = 2.5;

    public float $ease;

    /** @param float $length along the path, in the unit of $rate times seconds; @param float $rate above 0 */
    public function __construct(public float $length, public float $rate, float $ease)
    {
        $this->ease = max(1e-3, min($ease, $length / $rate));
    }

    public function onset(): float
    {
        return self::SETTLE;
    }

    public function holdFrom(): float
    {
        return self::SETTLE + $this->ease;
    }

    public function holdTo(): float
    {
        return self::SETTLE + $this->length / $this->rate;
    }

    public function stop(): float
    {
        return $this->holdTo() + $this->ease;
    }

    public function duration(): float
    {
        return $this->stop() + self::REST;
    }

    /** Travel along the path at a time since the start of the recording. */
    public function travelled(float $t): float
    {
        $in = ($t - self::SETTLE) / $this->ease;
        $out = ($t - $this->holdTo()) / $this->ease;

        return $this->rate * $this->ease * (Ramp::travel($in) - Ramp::travel($out));
    }

    /**
     * The time at which a following axis reads the move, so that it starts $lead seconds after the motion and has
     * caught up by the end of the ease: t - lead (1 - S(x)), x the share of the ease gone by.
     */
    public function behind(float $t, float $lead): float
    {
        return $t - $lead * (1 - Ramp::rate(($t - self::SETTLE) / $this->ease));
    }
}
