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

/** Follow: behind a moving subject, at its pace. */
final readonly class Follow extends Following
{
    public function about(): About
    {
        return new About(
            'follow', 'Follow', Group::Follow, 2, 'run+', ['push-in'],
            does: 'Behind a moving subject: it leads the eye into the picture.',
            clean: 'The distance stays; the subject keeps its size.',
            faults: [
                'off-mark' => 'Watch the subject, not the craft; lead it by a breath.',
                'uneven' => 'Its pace is yours: match it, then freeze the thumb.',
                'leak' => 'One axis follows; the others rest.',
                'drift' => 'If it grows, you are quicker than it.',
            ], family: 'push-in',
            caution: 'Keep the distance to people that your rules ask, and tell them what you will do.',
        );
    }

    public function judging(Intent $intent): Judging
    {
        return Judging::track(Crossing::Ahead);
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [
            'subject_mps' => self::comfortable($mode, Finger::Run, 2.6), 'subject_course_deg' => 0.0, 'length_m' => 36.0, 'distance_m' => 10.0, 'height_m' => 3.0,
        ];
    }

    protected function place(Intent $intent): array
    {
        return [-($intent->number('distance_m') ?? 10.0), 0.0, $intent->number('height_m') ?? 3.0];
    }
}
