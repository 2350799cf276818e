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

/**
 * Pull-away: back and up from a subject at once, the tilt holding it, until the place around it is told. Clear what
 * lies behind before it is flown.
 */
final readonly class PullAway extends SubjectHeldLine
{
    public function about(): About
    {
        return new About(
            'pull-away', Group::Away, 4, 'run- climb+ > tilt-', ['lift-and-tilt', 'straight-back'], faults: ['off-mark', 'uneven', 'leak'],
            family: 'pull-away', caution: true,
        );
    }

    public function parameters(): array
    {
        return Parameter::common('length_m', 'climb_m+', 'pace_mps', ...self::DIALS);
    }

    public function judging(Intent $intent): Judging
    {
        return Judging::held(PathKind::Line, 'AAZC', Crossing::Ahead, $intent);
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [
            'length_m' => 30.0, 'climb_m' => 14.0, 'pace_mps' => self::comfortable($mode, Finger::Run, 2.2), 'distance_m' => 9.0,
            'height_m' => 3.0, 'start_bearing_deg' => 0.0,
        ];
    }

    protected function slope(Intent $intent, Pace $pace): array
    {
        return [1.0, abs($intent->number('climb_m') ?? 14.0) / $pace->length];
    }
}
