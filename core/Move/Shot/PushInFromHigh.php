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

/** Push-in from high: the pull-away the other way round, in and down onto a subject, which ends large and near. */
final readonly class PushInFromHigh extends HeldLine
{
    public function about(): About
    {
        return new About(
            'push-in-from-high', 'Push-in from high', Group::Toward, 4, 'run+ climb- > tilt+', ['pull-away'],
            does: 'From the whole country in and down to the subject.',
            clean: 'The subject never leaves its place; the tilt quickens toward the end.',
            faults: [
                'off-mark' => 'The wheel is quickest at the end: do not let it lag.',
                'uneven' => 'Find the travel, then freeze the thumb against your own grip.',
                'flick-stop' => 'End well short of the subject.',
            ], family: 'push-in-from-high',
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
            'length_m' => 30.0, 'climb_m' => -13.0, 'pace_mps' => self::comfortable($mode, Finger::Run, 2.2), 'distance_m' => 40.0, 'height_m' => 17.0, 'start_bearing_deg' => 0.0,
        ];
    }

    protected function slope(Intent $intent, Pace $pace): array
    {
        return [-1.0, -abs($intent->number('climb_m') ?? 13.0) / $pace->length];
    }
}
