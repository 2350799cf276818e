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
use Larkspur\Move\Shape\Passing;
use Larkspur\Rig\ModeTune;

/** Top-down overtake: straight down, past a moving subject from behind. */
final readonly class TopDownOvertake extends Passing
{
    public function about(): About
    {
        return new About(
            'top-down-overtake', Group::Above, 4, 'run+', ['top-down-follow', 'overtake'], faults: ['leak', 'uneven'],
            family: 'top-down-travel',
        );
    }

    /** Straight down there is no tilt to choose. */
    public function parameters(): array
    {
        return Parameter::common('length_m', 'pace_mps', 'subject_mps', 'subject_course_deg', 'side', 'distance_m', 'height_m', 'ease_s');
    }

    public function judging(Intent $intent): Judging
    {
        return Judging::straight(Crossing::Sideways, 'AZZZ', straightDown: true);
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [
            'length_m' => 50.0, 'pace_mps' => self::comfortable($mode, Finger::Run, 4.0), 'subject_mps' => 1.5, 'subject_course_deg' => 0.0,
            'side' => 'right', 'distance_m' => 0.5, 'height_m' => 26.0,
        ];
    }

    protected function meets(): bool
    {
        return false;
    }

    protected function firstTilt(Intent $intent): float
    {
        return -M_PI_2;
    }
}
