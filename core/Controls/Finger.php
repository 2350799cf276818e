<?php

declare(strict_types=1);

namespace Larkspur\Controls;

use Larkspur\Fact;
use Larkspur\Measure\Quantity;

/**
 * The five finger directions by which a camera move is played, in the order of the thumb sheet.
 *
 * Travel runs from -1 to +1, raw, before any curve. Positive is climb up, turn right, run ahead, slide right,
 * tilt up.
 */
enum Finger: string
{
    case Climb = 'climb';
    case Turn = 'turn';
    case Run = 'run';
    case Slide = 'slide';
    case Tilt = 'tilt';

    /**
     * What the negative and the positive end of its travel are called.
     *
     * @return array{Fact, Fact}
     */
    public function ends(): array
    {
        return [Fact::of("end.$this->value.0"), Fact::of("end.$this->value.1")];
    }

    /** The axis of a log that the finger moves: run and slide can't be told apart there. */
    public function axis(): Axis
    {
        return match ($this) {
            self::Climb => Axis::Climb,
            self::Turn => Axis::Turn,
            self::Tilt => Axis::Tilt,
            self::Run, self::Slide => Axis::Travel,
        };
    }

    /** A rate of its axis, m/s or rad/s. */
    public function rate(float $rate): Quantity
    {
        return $this->rotates() ? Quantity::radiansPerSecond($rate) : Quantity::metresPerSecond($rate);
    }

    /** Whether the axis rotates the picture (turn, tilt) rather than moving the craft. */
    public function rotates(): bool
    {
        return $this === self::Turn || $this === self::Tilt;
    }
}
