<?php

declare(strict_types=1);

namespace Larkspur\Move\Shot;

use Larkspur\Controls\Finger;
use Larkspur\Move\About;
use Larkspur\Move\Group;
use Larkspur\Move\Intent;
use Larkspur\Move\Judging\Crossing;
use Larkspur\Move\Judging\Judging;
use Larkspur\Move\Shape\Passing;
use Larkspur\Rig\ModeTune;

/** Head-on: toward a moving subject and past it; their speeds add up. */
final readonly class HeadOn extends Passing
{
    public function about(): About
    {
        return new About(
            'head-on', Group::Follow, 4, 'run+', ['overtake'], faults: ['leak', 'uneven', 'kick'], family: 'push-in', caution: true,
        );
    }

    public function judging(Intent $intent): Judging
    {
        return Judging::straight(Crossing::Ahead, 'AZZZ');
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [
            'length_m' => 50.0, 'pace_mps' => self::comfortable($mode, Finger::Run, 2.4), 'subject_mps' => 1.8, 'subject_course_deg' => 0.0,
            'side' => 'right', 'distance_m' => 5.0, 'height_m' => 4.0, 'tilt_start_deg' => -5.0,
        ];
    }

    protected function meets(): bool
    {
        return true;
    }
}
