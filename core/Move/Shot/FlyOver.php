<?php

declare(strict_types=1);

namespace Larkspur\Move\Shot;

use Larkspur\Move\About;
use Larkspur\Move\Crossing;
use Larkspur\Move\Group;
use Larkspur\Move\HeldLine;
use Larkspur\Move\Intent;
use Larkspur\Move\Judging;
use Larkspur\Move\Pace;
use Larkspur\Move\Parameter;
use Larkspur\Move\PathKind;
use Larkspur\Rig\Finger;
use Larkspur\Rig\ModeTune;

/** Fly-over: ahead at one pace and one height while the tilt holds the subject, ever faster until it lies below. */
final readonly class FlyOver extends HeldLine
{
    public function about(): About
    {
        return new About(
            'fly-over', 'Fly-over', Group::Toward, 4, 'run+ > tilt-', ['over-the-edge'],
            does: 'A tall thing comes on, passes below, and the eye follows it down ever faster.',
            clean: 'Pace perfectly constant; the wheel slow at first and quickest overhead; its tip may be cut.',
            faults: [
                'off-mark' => 'The last third asks twice the wheel of the first two: lead it.',
                'uneven' => 'The right thumb is a rock; only the finger moves.',
                'flick-stop' => 'Let craft and wheel end together.',
            ], family: 'over-the-edge',
        );
    }

    public function parameters(): array
    {
        return Parameter::common('length_m', 'pace_mps', ...self::DIALS);
    }

    public function judging(Intent $intent): Judging
    {
        return Judging::held(PathKind::Line, 'AZZC', Crossing::Ahead, $intent);
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [
            'length_m' => 45.0, 'pace_mps' => self::comfortable($mode, Finger::Run, 3.0), 'distance_m' => 60.0, 'height_m' => 22.0, 'start_bearing_deg' => 0.0,
        ];
    }

    protected function slope(Intent $intent, Pace $pace): array
    {
        return [-1.0, 0.0];
    }
}
