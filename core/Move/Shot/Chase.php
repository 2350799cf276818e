<?php

declare(strict_types=1);

namespace Larkspur\Move\Shot;

use Larkspur\Move\About;
use Larkspur\Move\Crossing;
use Larkspur\Move\Following;
use Larkspur\Move\Group;
use Larkspur\Move\Intent;
use Larkspur\Move\Judging;
use Larkspur\Rig\Finger;
use Larkspur\Rig\ModeTune;

/** Chase: behind and above a moving subject, turn and tilt holding it through its turns. */
final readonly class Chase extends Following
{
    public function about(): About
    {
        return new About(
            'chase', 'Chase', Group::Follow, 3, 'run+ > (turn*) (tilt*)', ['follow', 'ground-to-horizon'],
            does: 'Close above and behind, every turn of it answered.',
            clean: 'The corrections are there and can’t be seen.',
            faults: [
                'off-mark' => 'Watch the subject, not the craft; lead it by a breath.',
                'uneven' => 'Its pace is yours: match it, then freeze the thumb.',
                'leak' => 'One axis follows; the others rest.',
                'kick' => 'Answer late and little; half the turns mend themselves.',
            ], family: 'push-in',
            caution: 'Keep the distance to people that your rules ask, and tell them what you will do.',
        );
    }

    public function judging(Intent $intent): Judging
    {
        return Judging::track(Crossing::Ahead, 'AZCC');
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [
            'subject_mps' => self::comfortable($mode, Finger::Run, 3.2), 'subject_course_deg' => 0.0, 'length_m' => 36.0, 'distance_m' => 12.0, 'height_m' => 7.0,
        ];
    }

    protected function place(Intent $intent): array
    {
        return [-($intent->number('distance_m') ?? 12.0), 0.0, $intent->number('height_m') ?? 7.0];
    }
}
