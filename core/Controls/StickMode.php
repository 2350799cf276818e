<?php

declare(strict_types=1);

namespace Larkspur\Controls;

use Larkspur\Fact;

/**
 * Which thumb plays which axis. The mode belongs to the operator; the axes themselves never change.
 *
 * Modes 1 to 4 as transmitters have numbered them for decades (common practice, no published source).
 */
enum StickMode: int
{
    case Mode1 = 1;
    case Mode2 = 2;
    case Mode3 = 3;
    case Mode4 = 4;

    /** The other axis of the same thumb, into which a press may leak; null for the wheel. */
    public function neighbour(Finger $finger): ?Finger
    {
        $crossed = $this === self::Mode1 || $this === self::Mode3;

        return match ($finger) {
            Finger::Climb => $crossed ? Finger::Slide : Finger::Turn,
            Finger::Turn => $crossed ? Finger::Run : Finger::Climb,
            Finger::Run => $crossed ? Finger::Turn : Finger::Slide,
            Finger::Slide => $crossed ? Finger::Climb : Finger::Run,
            Finger::Tilt => null,
        };
    }

    /**
     * What each stick plays, across and up.
     *
     * @return array{left: array{Finger, Finger}, right: array{Finger, Finger}}
     */
    public function pads(): array
    {
        $pads = ['left' => [Finger::Turn, Finger::Climb], 'right' => [Finger::Slide, Finger::Run]];
        foreach ([Finger::Climb, Finger::Turn, Finger::Run, Finger::Slide] as $finger) {
            $pads[$this->hand($finger) === 'left' ? 'left' : 'right'][self::upright($finger) ? 1 : 0] = $finger;
        }

        return $pads;
    }

    /**
     * What plays a finger's axis: the thumb of which hand, or the wheel under the index finger.
     *
     * @return 'left'|'right'|'wheel'
     */
    public function hand(Finger $finger): string
    {
        $left = match ($finger) {
            Finger::Climb => $this === self::Mode2 || $this === self::Mode4,
            Finger::Turn => $this === self::Mode1 || $this === self::Mode2,
            Finger::Run => $this === self::Mode1 || $this === self::Mode3,
            Finger::Slide => $this === self::Mode3 || $this === self::Mode4,
            Finger::Tilt => null,
        };

        return $left === null ? 'wheel' : ($left ? 'left' : 'right');
    }

    /** Whether the finger moves its stick up and down rather than to the side. */
    public static function upright(Finger $finger): bool
    {
        return $finger === Finger::Climb || $finger === Finger::Run;
    }

    /** Such as "left thumb, up" or "right thumb, side": which thumb, and along which of its two ways. */
    public function thumb(Finger $finger): Fact
    {
        return Fact::of('thumb.'.$this->hand($finger).'.'.($finger === Finger::Tilt || self::upright($finger) ? 'up' : 'side'));
    }
}
