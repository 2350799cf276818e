<?php

declare(strict_types=1);

namespace Larkspur\Move\Shot;

use Larkspur\Controls\Finger;
use Larkspur\Move\About;
use Larkspur\Move\Group;
use Larkspur\Move\Intent;
use Larkspur\Move\Judging\Crossing;
use Larkspur\Move\Judging\Judging;
use Larkspur\Move\Judging\PathKind;
use Larkspur\Move\Parameter;
use Larkspur\Move\Shape\SubjectHeldLine;
use Larkspur\Move\Timing\Pace;
use Larkspur\Rig\ModeTune;

/** Fly-over: ahead at one pace and one height while the tilt holds the subject, ever faster until it lies below. */
final readonly class FlyOver extends SubjectHeldLine
{
    public function about(): About
    {
        return new About(
            'fly-over', Group::Toward, 4, 'run+ > tilt-', ['over-the-edge'], faults: ['off-mark', 'uneven', 'flick-stop'],
            family: 'over-the-edge', withTilt: 'over-the-edge',
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
        // On until it lies below: past that the lens would have to look behind itself.
        return [
            'length_m' => max(5.0, round(0.88 * ($intent->number('distance_m') ?? 50.0), 1)),
            'pace_mps' => self::comfortable($mode, Finger::Run, 2.2),
            'distance_m' => 50.0, 'height_m' => 28.0,
            'start_bearing_deg' => 0.0,
        ];
    }

    protected function slope(Intent $intent, Pace $pace): array
    {
        return [-1.0, 0.0];
    }
}
