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

/** Push-in from high: the pull-away the other way round, in and down onto a subject, which ends large and near. */
final readonly class PushInFromHigh extends SubjectHeldLine
{
    public function about(): About
    {
        return new About(
            'push-in-from-high', Group::Toward, 4, 'run+ climb- > tilt+', ['pull-away'], faults: ['off-mark', 'uneven', 'flick-stop'],
            family: 'push-in-from-high',
        );
    }

    public function parameters(): array
    {
        return Parameter::common('length_m', 'climb_m-', 'pace_mps', ...self::DIALS);
    }

    public function judging(Intent $intent): Judging
    {
        return Judging::held(PathKind::Line, 'AAZC', Crossing::Ahead, $intent);
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [
            'length_m' => 30.0, 'climb_m' => -13.0, 'pace_mps' => self::comfortable($mode, Finger::Run, 2.2), 'distance_m' => 40.0,
            'height_m' => 17.0, 'start_bearing_deg' => 0.0,
        ];
    }

    protected function slope(Intent $intent, Pace $pace): array
    {
        return [-1.0, -abs($intent->number('climb_m') ?? 13.0) / $pace->length];
    }
}
