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

/** Chase: behind and above a moving subject, turn and tilt holding it through its turns. */
final readonly class Chase extends Following
{
    public function about(): About
    {
        return new About(
            'chase', Group::Follow, 3, 'run+ > (turn*) (tilt*)', ['follow', 'ground-to-horizon'],
            faults: ['off-mark', 'uneven', 'leak', 'kick'], family: 'push-in', caution: true,
        );
    }

    public function judging(Intent $intent): Judging
    {
        return Judging::track(Crossing::Ahead, 'AZCC');
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [
            'subject_mps' => self::comfortable($mode, Finger::Run, 3.2), 'subject_course_deg' => 0.0, 'length_m' => 36.0,
            'distance_m' => 12.0, 'height_m' => 7.0,
        ];
    }

    protected function place(Intent $intent): array
    {
        return [-($intent->number('distance_m') ?? 12.0), 0.0, $intent->number('height_m') ?? 7.0];
    }
}
