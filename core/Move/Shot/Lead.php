<?php

declare(strict_types=1);

namespace Larkspur\Move\Shot;

use Larkspur\Controls\Finger;
use Larkspur\Move\About;
use Larkspur\Move\Group;
use Larkspur\Move\Intent;
use Larkspur\Move\Judging\Crossing;
use Larkspur\Move\Judging\Judging;
use Larkspur\Move\Shape\Following;
use Larkspur\Rig\ModeTune;

/** Lead backward: ahead of a moving subject, flying backward at its pace. */
final readonly class Lead extends Following
{
    public function about(): About
    {
        return new About(
            'lead', Group::Follow, 4, 'run-', ['follow', 'straight-back'], faults: ['off-mark', 'uneven', 'leak', 'drift'],
            family: 'straight-back', caution: true,
        );
    }

    public function judging(Intent $intent): Judging
    {
        return Judging::track(Crossing::Ahead);
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [
            'subject_mps' => self::comfortable($mode, Finger::Run, 2.0), 'subject_course_deg' => 0.0, 'length_m' => 36.0,
            'distance_m' => 12.0, 'height_m' => 3.0,
        ];
    }

    protected function place(Intent $intent): array
    {
        return [$intent->number('distance_m') ?? 12.0, 0.0, $intent->number('height_m') ?? 3.0];
    }
}
