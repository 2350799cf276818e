<?php

declare(strict_types=1);

namespace Larkspur\Rig;

use Larkspur\Fact;

/**
 * Houses of thought about settings (docs/schools.md). Practitioners of both film well; the school chooses, and a trainer
 * may choose otherwise for one operator. What each aims at is common practice, no published source.
 */
enum House: string
{
    case LimitTheMachine = 'limit-the-machine';
    case Middle = 'middle';
    case TrustTheFingers = 'trust-the-fingers';

    public function words(): Fact
    {
        return match ($this) {
            self::LimitTheMachine => Fact::of('house.limit-machine'),
            self::Middle => Fact::of('house.middle-way'),
            self::TrustTheFingers => Fact::of('house.trust-fingers'),
        };
    }

    /** What it holds, in a sentence that a student understands. */
    public function why(): Fact
    {
        return match ($this) {
            self::LimitTheMachine => Fact::of('house.machine-made-slow-soft'),
            self::Middle => Fact::of('house.limits-little-above-what'),
            self::TrustTheFingers => Fact::of('house.machine-left-quick-straight'),
        };
    }

    /** Where in the comfortable stretch a hold should sit, 0 its lower end, 1 its upper. */
    public function holdsAt(): float
    {
        return match ($this) {
            self::LimitTheMachine => 0.8, self::Middle => 0.5, self::TrustTheFingers => 0.25,
        };
    }

    /** Output at half stick that it likes: 0.5 is straight. */
    public function halfStick(): float
    {
        return match ($this) {
            self::LimitTheMachine => 0.34, self::Middle => 0.41, self::TrustTheFingers => 0.49,
        };
    }

    /** Cushion of turn and tilt that it likes, s. */
    public function cushion(): float
    {
        return match ($this) {
            self::LimitTheMachine => 1.2, self::Middle => 0.7, self::TrustTheFingers => 0.3,
        };
    }

    /** Which top rate it likes between what the shots need (0) and what the craft has (1). */
    public function headroom(): float
    {
        return match ($this) {
            self::LimitTheMachine => 0.05, self::Middle => 0.35, self::TrustTheFingers => 0.85,
        };
    }

    /** The flight mode in which it films. */
    public function mode(): string
    {
        return $this === self::LimitTheMachine ? 'slow' : 'standard';
    }
}
