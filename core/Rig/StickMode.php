<?php

declare(strict_types=1);

namespace Larkspur\Rig;

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
     * @return array{left: array{string, string}, right: array{string, string}}
     */
    public function pads(): array
    {
        $axes = [];
        foreach ([Finger::Climb, Finger::Turn, Finger::Run, Finger::Slide] as $finger) {
            $axes[$this->thumb($finger)] = $finger->value;
        }

        return [
            'left' => [$axes['Left thumb, side'], $axes['Left thumb, up']],
            'right' => [$axes['Right thumb, side'], $axes['Right thumb, up']],
        ];
    }

    /** Such as "Left thumb, up" or "Right thumb, side": which thumb, and along which of its two ways. */
    public function thumb(Finger $finger): string
    {
        if ($finger === Finger::Tilt) {
            return 'Index finger';
        }
        $left = match ($finger) {
            Finger::Climb => $this === self::Mode2 || $this === self::Mode4,
            Finger::Turn => $this === self::Mode1 || $this === self::Mode2,
            Finger::Run => $this === self::Mode1 || $this === self::Mode3,
            default => $this === self::Mode3 || $this === self::Mode4,
        };
        $direction = $finger === Finger::Climb || $finger === Finger::Run ? 'up' : 'side';

        return ($left ? 'Left' : 'Right').' thumb, '.$direction;
    }
}
