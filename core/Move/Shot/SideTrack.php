<?php

declare(strict_types=1);

namespace Larkspur\Move\Shot;

use Larkspur\Move\About;
use Larkspur\Move\Crossing;
use Larkspur\Move\Following;
use Larkspur\Move\Group;
use Larkspur\Move\Intent;
use Larkspur\Move\Judging;
use Larkspur\Move\Parameter;
use Larkspur\Move\Stance;
use Larkspur\Rig\Finger;
use Larkspur\Rig\ModeTune;

/** Side track: sideways beside a moving subject, at its pace. */
final readonly class SideTrack extends Following
{
    public function about(): About
    {
        return new About(
            'side-track', 'Side track', Group::Follow, 2, 'slide±', ['lateral-dolly'],
            does: 'Beside a moving subject that keeps its place while its world runs past.',
            clean: 'Its pace is the craft’s; it neither gains nor falls back.',
            faults: [
                'off-mark' => 'Watch the subject, not the craft; lead it by a breath.',
                'uneven' => 'Its pace is yours: match it, then freeze the thumb.',
                'leak' => 'One axis follows; the others rest.',
            ], family: 'lateral-dolly',
            caution: 'Keep the distance to people that your rules ask, and tell them what you will do.',
        );
    }

    public function judging(Intent $intent): Judging
    {
        return Judging::track(Crossing::Sideways);
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [
            'subject_mps' => self::comfortable($mode, Finger::Slide, 2.4), 'subject_course_deg' => 0.0, 'length_m' => 36.0, 'distance_m' => 15.0, 'height_m' => 2.5, 'side' => 'right',
        ];
    }

    protected function place(Intent $intent): array
    {
        return [0.0, Stance::way($intent) * ($intent->number('distance_m') ?? 15.0), $intent->number('height_m') ?? 2.0];
    }

    public function parameters(): array
    {
        return [...parent::parameters(), ...Parameter::common('side')];
    }
}
