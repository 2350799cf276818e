<?php

declare(strict_types=1);

namespace Larkspur\Move\Shot;

use Larkspur\Controls\Finger;
use Larkspur\Move\About;
use Larkspur\Move\Group;
use Larkspur\Move\Intent;
use Larkspur\Move\Judging\Crossing;
use Larkspur\Move\Judging\Judging;
use Larkspur\Move\Parameter;
use Larkspur\Move\Shape\Following;
use Larkspur\Move\Shape\Stance;
use Larkspur\Rig\ModeTune;

/** Side track: sideways beside a moving subject, at its pace. */
final readonly class SideTrack extends Following
{
    public function about(): About
    {
        return new About(
            'side-track', Group::Follow, 2, 'slide±', ['lateral-dolly'], faults: ['off-mark', 'uneven', 'leak'], family: 'lateral-dolly',
            caution: true,
        );
    }

    public function judging(Intent $intent): Judging
    {
        return Judging::track(Crossing::Sideways);
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [
            'subject_mps' => self::comfortable($mode, Finger::Slide, 2.4), 'subject_course_deg' => 0.0, 'length_m' => 36.0,
            'distance_m' => 15.0, 'height_m' => 2.5, 'side' => 'right',
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
