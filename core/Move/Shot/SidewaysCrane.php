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
use Larkspur\Move\Shape\Stance;
use Larkspur\Move\Timing\Pace;
use Larkspur\Rig\ModeTune;

/** Sideways crane: sideways and up (or down) at once, the heading kept. */
final readonly class SidewaysCrane extends Played
{
    public function about(): About
    {
        return new About(
            'sideways-crane', Group::Across, 2, 'climb* slide±', ['lateral-dolly', 'rise'], faults: ['out-of-step', 'leak', 'uneven'],
            family: 'sideways-crane',
        );
    }

    public function parameters(): array
    {
        return Parameter::common(
            'length_m', 'side', 'climb_m', 'pace_mps', 'distance_m', 'height_m', 'start_bearing_deg', 'heading_deg', 'tilt_start_deg',
            'ease_s',
        );
    }

    public function judging(Intent $intent): Judging
    {
        return Judging::straight(Crossing::Sideways, 'AAZZ');
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [
            'length_m' => 22.0, 'side' => 'right', 'climb_m' => 8.0, 'pace_mps' => self::comfortable($mode, Finger::Slide, 1.8),
            'distance_m' => 22.0, 'height_m' => 6.0, 'start_bearing_deg' => 0.0, 'heading_deg' => 0.0,
            'tilt_start_deg' => self::lookingAt($intent, 22.0, 6.0),
        ];
    }

    protected function strokes(Intent $intent, Pace $pace): array
    {
        return [
            'slide' => [$pace->stroke->of(Stance::way($intent) * $pace->length)],
            'climb' => [$pace->stroke->of($intent->number('climb_m') ?? 8.0)],
        ];
    }

    protected function pivot(): float
    {
        return 0.5;
    }
}
