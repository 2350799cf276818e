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

/** Overtake: from behind past a moving subject until the space ahead of it is told. */
final readonly class Overtake extends Passing
{
    public function about(): About
    {
        return new About(
            'overtake', Group::Follow, 4, 'run+', ['follow'], faults: ['uneven', 'leak', 'kick'], family: 'push-in', caution: true,
        );
    }

    public function judging(Intent $intent): Judging
    {
        return Judging::straight(Crossing::Ahead, 'AZZZ');
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [
            'length_m' => 50.0, 'pace_mps' => self::comfortable($mode, Finger::Run, 4.0), 'subject_mps' => 1.6, 'subject_course_deg' => 0.0,
            'side' => 'right', 'distance_m' => 5.0, 'height_m' => 4.0, 'tilt_start_deg' => -5.0,
        ];
    }

    protected function meets(): bool
    {
        return false;
    }
}
