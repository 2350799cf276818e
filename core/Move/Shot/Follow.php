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

/** Follow: behind a moving subject, at its pace. */
final readonly class Follow extends Following
{
    public function about(): About
    {
        return new About(
            'follow', Group::Follow, 2, 'run+', ['push-in'], faults: ['off-mark', 'uneven', 'leak', 'drift'], family: 'push-in',
            caution: true,
        );
    }

    public function judging(Intent $intent): Judging
    {
        return Judging::track(Crossing::Ahead);
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [
            'subject_mps' => self::comfortable($mode, Finger::Run, 2.6), 'subject_course_deg' => 0.0, 'length_m' => 36.0,
            'distance_m' => 10.0, 'height_m' => 3.0,
        ];
    }

    protected function place(Intent $intent): array
    {
        return [-($intent->number('distance_m') ?? 10.0), 0.0, $intent->number('height_m') ?? 3.0];
    }
}
