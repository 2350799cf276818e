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

/** Overtake: from behind past a moving subject until the space ahead of it is told. */
final readonly class Overtake extends Passing
{
    public function about(): About
    {
        return new About(
            'overtake', 'Overtake', Group::Follow, 4, 'run+', ['follow'],
            does: 'Past the subject from behind, and the way ahead opens.',
            clean: 'The pass is even: no rush as it goes by.',
            faults: [
                'uneven' => 'Have your pace before you are level with it.',
                'leak' => 'Look along the axis you fly: a thumb off twelve o’clock drags the other axis with it.',
                'kick' => 'No steering while you pass.',
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
            'length_m' => 50.0, 'pace_mps' => self::comfortable($mode, Finger::Run, 4.0), 'subject_mps' => 1.6, 'subject_course_deg' => 0.0, 'side' => 'right', 'distance_m' => 5.0, 'height_m' => 4.0, 'tilt_start_deg' => -5.0,
        ];
    }

    protected function meets(): bool
    {
        return false;
    }
}
