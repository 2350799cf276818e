<?php

declare(strict_types=1);

namespace Larkspur\Move\Shot;

use Larkspur\Controls\Finger;
use Larkspur\Move\About;
use Larkspur\Move\Group;
use Larkspur\Move\Intent;
use Larkspur\Move\Judging\Crossing;
use Larkspur\Move\Judging\Judging;
use Larkspur\Move\Judging\PathKind;
use Larkspur\Move\Parameter;
use Larkspur\Move\Shape\SubjectHeldLine;
use Larkspur\Move\Timing\Pace;
use Larkspur\Rig\ModeTune;

/** Drop with tilt: straight down beside a subject, the tilt coming up with it. Nothing moves over the ground. */
final readonly class DropAndTilt extends SubjectHeldLine
{
    public function about(): About
    {
        return new About(
            'drop-and-tilt', Group::Upright, 3, 'climb- > tilt+', ['lift-and-tilt'], faults: ['flick-start', 'off-mark', 'leak'],
            family: 'lift-and-tilt',
        );
    }

    protected const MEASURE = ['climb_m', 'climb_mps'];

    public function parameters(): array
    {
        return Parameter::common('climb_m-', 'climb_mps', ...self::DIALS);
    }

    public function judging(Intent $intent): Judging
    {
        return Judging::held(PathKind::Vertical, 'ZAZC', Crossing::Upright, $intent);
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [
            'climb_m' => -12.0, 'climb_mps' => self::comfortable($mode, Finger::Climb, 1.1, 0.45), 'distance_m' => 20.0, 'height_m' => 17.0,
            'start_bearing_deg' => 0.0,
        ];
    }

    protected function slope(Intent $intent, Pace $pace): array
    {
        return [0.0, -1.0];
    }
}
