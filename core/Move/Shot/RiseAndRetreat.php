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
use Larkspur\Move\Shape\Played;
use Larkspur\Move\Timing\Pace;
use Larkspur\Rig\ModeTune;

/** Rise and retreat: the pull-away without the wheel. Back and a little up on one slope, the lens as it was set. */
final readonly class RiseAndRetreat extends Played
{
    public function about(): About
    {
        return new About(
            'rise-and-retreat', Group::Away, 2, 'climb+ run-', ['straight-back', 'rise'],
            faults: ['out-of-step', 'uneven', 'flick-stop'], family: 'pull-away', withTilt: 'pull-away', caution: true,
        );
    }

    public function parameters(): array
    {
        return Parameter::common(
            'length_m', 'climb_m+', 'pace_mps', 'distance_m', 'height_m', 'start_bearing_deg', 'heading_deg', 'tilt_start_deg', 'ease_s',
        );
    }

    public function judging(Intent $intent): Judging
    {
        return Judging::straight(Crossing::Ahead, 'AAZZ');
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [
            'length_m' => 26.0, 'climb_m' => 4.0, 'pace_mps' => self::comfortable($mode, Finger::Run, 1.8),
            'distance_m' => 10.0, 'height_m' => 3.0, 'start_bearing_deg' => 0.0, 'heading_deg' => 0.0,
            // Parked so that the subject rests in the middle in the end, where the place around it is told.
            'tilt_start_deg' => self::lookingInTheEnd(
                $intent, ['distance_m' => 10.0, 'length_m' => 26.0, 'height_m' => 3.0, 'climb_m' => 4.0], 1,
            ),
        ];
    }

    protected function strokes(Intent $intent, Pace $pace): array
    {
        return ['run' => [$pace->stroke->of(-$pace->length)], 'climb' => [$pace->stroke->of($intent->number('climb_m') ?? 4.0)]];
    }
}
