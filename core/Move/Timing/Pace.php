<?php

declare(strict_types=1);

namespace Larkspur\Move\Timing;

use Larkspur\Fact;
use Larkspur\Measure\Quantity;
use Larkspur\Measure\Ramp;
use Larkspur\Move\Intent;
use Larkspur\Refusal;

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

    /** Longest pass that can be planned, s: nobody holds a stick still for longer. */
    public const LONGEST = 300.0;

    /** What a stated start means: where first motion begins, or where the run-in is over and the first wanted frame is taken. */
    public const FIRST_MOTION = 'first motion';

    public const FIRST_FRAME = 'first frame';

    public float $ease;

    /** The motion itself, in metres along the path (or whatever the length counts). */
    public Stroke $stroke;

    /**
     * @param  float  $length  along the path, m
     * @param  float  $rate  m/s, above 0
     * @param  string  $named  the parameter that states it
     *
     * @throws Refusal where the pass would last longer than LONGEST
     */
    public function __construct(public float $length, public float $rate, float $ease, string $named = 'pace_mps')
    {
        if ($length / $rate > self::LONGEST) {
            throw new Refusal(
                Fact::of('pace.pace-pass-would-take', rate: $length / $rate / 60),
                'intent.parameters.'.$named,
                Fact::of('pace.pace-more-shorter-way', longest: Quantity::metresPerSecond(ceil(10 * $length / self::LONGEST) / 10)),
            );
        }
        $this->ease = max(1e-3, min($ease, $length / $rate));
        $this->stroke = new Stroke($length, self::SETTLE, self::SETTLE + $length / $rate + $this->ease, $this->ease);
    }

    /** Way that the swell takes before the pace is reached, m: half of what the pace would cover in it. */
    public function runIn(): float
    {
        return $this->rate * $this->ease / 2;
    }

    /** What of the way lies before a stated start: the run-in where that is the first frame, nothing otherwise. */
    public function before(Intent $intent): float
    {
        return $intent->choice('start_at') === self::FIRST_FRAME ? $this->runIn() : 0.0;
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
        return $this->stroke->at($t);
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
