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

/** Lead backward: ahead of a moving subject, flying backward at its pace. */
final readonly class Lead extends Following
{
    public function about(): About
    {
        return new About(
            'lead', 'Lead backward', Group::Follow, 4, 'run-', ['follow', 'straight-back'],
            does: 'Ahead of a moving subject that comes on without coming nearer.',
            clean: 'The distance stays; the way behind the craft is clear.',
            faults: [
                'off-mark' => 'Watch the subject, not the craft; lead it by a breath.',
                'uneven' => 'Its pace is yours: match it, then freeze the thumb.',
                'leak' => 'One axis follows; the others rest.',
                'drift' => 'If it grows, it is quicker than you.',
            ], family: 'straight-back',
            caution: 'You fly blind: walk the line behind the craft first. Keep the distance to people that your rules ask, and tell them what you will do.',
        );
    }

    public function judging(Intent $intent): Judging
    {
        return Judging::track(Crossing::Ahead);
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [
            'subject_mps' => self::comfortable($mode, Finger::Run, 2.0), 'subject_course_deg' => 0.0, 'length_m' => 36.0, 'distance_m' => 12.0, 'height_m' => 3.0,
        ];
    }

    protected function place(Intent $intent): array
    {
        return [$intent->number('distance_m') ?? 12.0, 0.0, $intent->number('height_m') ?? 3.0];
    }
}
