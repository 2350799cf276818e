<?php

declare(strict_types=1);

namespace Larkspur\Controls;

/** The axes along which a flown take can be judged: run and slide can't be told apart in a log without fingers. */
enum Axis: string
{
    case Travel = 'travel';
    case Climb = 'climb';
    case Turn = 'turn';
    case Tilt = 'tilt';

    /** Whether the axis rotates the picture; its rates are then in deg/s, else in m/s. */
    public function rotates(): bool
    {
        return $this === self::Turn || $this === self::Tilt;
    }
}
