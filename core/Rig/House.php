<?php

declare(strict_types=1);

namespace Larkspur\Rig;

/**
 * Houses of thought about settings (docs/schools.md). Practitioners of both film well; the school chooses, and a trainer
 * may choose otherwise for one operator. What each aims at is common practice, no published source.
 */
enum House: string
{
    case LimitTheMachine = 'limit-the-machine';
    case Middle = 'middle';
    case TrustTheFingers = 'trust-the-fingers';

    public function words(): string
    {
        return match ($this) {
            self::LimitTheMachine => 'limit the machine',
            self::Middle => 'the middle way',
            self::TrustTheFingers => 'trust the fingers',
        };
    }

    /** What it holds, in a sentence that a student understands. */
    public function why(): string
    {
        return match ($this) {
            self::LimitTheMachine => 'The machine is made slow and soft, so that a thumb far out still moves the picture gently.',
            self::Middle => 'Limits a little above what the shots ask, and a curve a little softer than straight.',
            self::TrustTheFingers => 'The machine is left quick and straight; the softness comes from the hand, and every quick move stays possible.',
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
