<?php

declare(strict_types=1);

namespace Larkspur\Move\Shot;

use Larkspur\Move\About;
use Larkspur\Move\Crossing;
use Larkspur\Move\Group;
use Larkspur\Move\HeldLine;
use Larkspur\Move\Intent;
use Larkspur\Move\Judging;
use Larkspur\Move\Pace;
use Larkspur\Move\Parameter;
use Larkspur\Move\PathKind;
use Larkspur\Rig\Finger;
use Larkspur\Rig\ModeTune;

/**
 * Pull-away: back and up from a subject at once, the tilt holding it, until the place around it is told. Clear what
 * lies behind before it is flown.
 */
final readonly class PullAway extends HeldLine
{
    public function about(): About
    {
        return new About(
            'pull-away', 'Pull-away', Group::Away, 4, 'run- climb+ > tilt-', ['lift-and-tilt', 'straight-back'],
            does: 'From the subject alone to the whole country it stands in, the subject in the middle throughout.',
            clean: 'One pace, one slope; the tilt quick at first and slower and slower.',
            faults: [
                'off-mark' => 'The wheel is quickest in the first seconds: be ready for it.',
                'uneven' => 'Find the travel, then freeze the thumb against your own grip.',
                'leak' => 'Look along the axis you fly: a thumb off twelve o’clock drags the other axis with it.',
            ], family: 'pull-away',
            caution: 'Walk the line behind the craft before you fly it backward.',
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
            'length_m' => 30.0, 'climb_m' => 14.0, 'pace_mps' => self::comfortable($mode, Finger::Run, 2.2), 'distance_m' => 9.0, 'height_m' => 3.0, 'start_bearing_deg' => 0.0,
        ];
    }

    protected function slope(Intent $intent, Pace $pace): array
    {
        return [1.0, abs($intent->number('climb_m') ?? 14.0) / $pace->length];
    }
}
