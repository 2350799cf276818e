<?php

declare(strict_types=1);

namespace Larkspur\Rig;

use Larkspur\Move\Axis;

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

    /** @return array{string, string} words for the negative and the positive end */
    public function ends(): array
    {
        return match ($this) {
            self::Climb => ['sink', 'rise'],
            self::Turn => ['left', 'right'],
            self::Run => ['back', 'ahead'],
            self::Slide => ['left', 'right'],
            self::Tilt => ['down', 'up'],
        };
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

    /** Whether the axis rotates the picture (turn, tilt) rather than moving the craft. */
    public function rotates(): bool
    {
        return $this === self::Turn || $this === self::Tilt;
    }
}
