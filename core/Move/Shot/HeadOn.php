<?php

declare(strict_types=1);

namespace Larkspur\Move\Shot;

use Larkspur\Move\About;
use Larkspur\Move\Crossing;
use Larkspur\Move\Group;
use Larkspur\Move\Intent;
use Larkspur\Move\Judging;
use Larkspur\Move\Passing;
use Larkspur\Rig\Finger;
use Larkspur\Rig\ModeTune;

/** Head-on: toward a moving subject and past it; their speeds add up. */
final readonly class HeadOn extends Passing
{
    public function about(): About
    {
        return new About(
            'head-on', 'Head-on', Group::Follow, 4, 'run+', ['overtake'],
            does: 'Toward the subject and past it: twice the speed in the picture.',
            clean: 'Well to one side, no correction after the start.',
            faults: [
                'leak' => 'Look along the axis you fly: a thumb off twelve o’clock drags the other axis with it.',
                'uneven' => 'Find the travel, then freeze the thumb against your own grip.',
                'kick' => 'Decide the line far out; never steer at the meeting.',
            ], family: 'push-in',
            caution: 'Keep the distance to people that your rules ask, and tell them what you will do.',
        );
    }

    public function judging(Intent $intent): Judging
    {
        return Judging::straight(Crossing::Ahead, 'AZZZ');
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [
            'length_m' => 50.0, 'pace_mps' => self::comfortable($mode, Finger::Run, 2.4), 'subject_mps' => 1.8, 'subject_course_deg' => 0.0, 'side' => 'right', 'distance_m' => 5.0, 'height_m' => 4.0, 'tilt_start_deg' => -5.0,
        ];
    }

    protected function meets(): bool
    {
        return true;
    }
}
