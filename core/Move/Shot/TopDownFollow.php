<?php

declare(strict_types=1);

namespace Larkspur\Move\Shot;

use Larkspur\Controls\Finger;
use Larkspur\Move\About;
use Larkspur\Move\Group;
use Larkspur\Move\Intent;
use Larkspur\Move\Judging\Crossing;
use Larkspur\Move\Judging\Judging;
use Larkspur\Move\Judging\TakeTarget;
use Larkspur\Move\Parameter;
use Larkspur\Move\Shape\Following;
use Larkspur\Rig\ModeTune;

/** Top-down follow: straight over a moving subject, at its pace, the nose along its way. */
final readonly class TopDownFollow extends Following
{
    public function about(): About
    {
        return new About(
            'top-down-follow', Group::Above, 3, 'run+', ['top-down-travel', 'follow'], faults: ['off-mark', 'uneven', 'leak'],
            family: 'top-down-travel',
        );
    }

    /** Straight over the subject there is no distance to choose. */
    public function parameters(): array
    {
        return Parameter::common('subject_mps', 'subject_course_deg', 'length_m', 'height_m', 'ease_s');
    }

    public function wanted(Intent $intent): TakeTarget
    {
        return new TakeTarget($intent->u(), $intent->v(), viewing: $intent->number('height_m'));
    }

    public function judging(Intent $intent): Judging
    {
        return Judging::track(Crossing::Sideways, 'AZZZ', straightDown: true);
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [
            'subject_mps' => self::comfortable($mode, Finger::Run, 2.2), 'subject_course_deg' => 0.0, 'length_m' => 36.0,
            'height_m' => 22.0,
        ];
    }

    protected function place(Intent $intent): array
    {
        return [0.0, 0.0, $intent->number('height_m') ?? 22.0];
    }

    protected function straightDown(): bool
    {
        return true;
    }
}
