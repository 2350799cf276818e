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

/** Rise and advance: both thumbs ahead, a straight slope upward. */
final readonly class RiseAndAdvance extends Played
{
    public function about(): About
    {
        return new About(
            'rise-and-advance', Group::Toward, 2, 'climb+ run+', ['push-in', 'rise'], faults: ['out-of-step', 'uneven', 'leak'],
            family: 'push-in-from-high', withTilt: 'ascent-late-tilt',
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
            'length_m' => 24.0, 'climb_m' => 10.0, 'pace_mps' => self::comfortable($mode, Finger::Run, 1.8),
            'distance_m' => 36.0, 'height_m' => 2.0, 'start_bearing_deg' => 0.0, 'heading_deg' => 0.0, 'tilt_start_deg' => -8.0,
        ];
    }

    protected function strokes(Intent $intent, Pace $pace): array
    {
        return ['run' => [$pace->stroke], 'climb' => [$pace->stroke->of(abs($intent->number('climb_m') ?? 10.0))]];
    }
}
