<?php

declare(strict_types=1);

namespace Larkspur\Move\Shot;

use Larkspur\Controls\Finger;
use Larkspur\Move\About;
use Larkspur\Move\Group;
use Larkspur\Move\Intent;
use Larkspur\Move\Judging\Judging;
use Larkspur\Move\Judging\PathKind;
use Larkspur\Move\Parameter;
use Larkspur\Move\Shape\Played;
use Larkspur\Move\Timing\Pace;
use Larkspur\Rig\ModeTune;

/** Sink to eye level: from straight down over the land to level with the subject. */
final readonly class SinkToEyeLevel extends Played
{
    public function about(): About
    {
        return new About(
            'sink-to-eye-level', Group::Reveal, 3, 'climb- > tilt+', ['sink', 'tilt'], faults: ['flick-stop', 'too-quick', 'bobbing'],
            family: 'lift-and-tilt',
        );
    }

    protected const MEASURE = ['climb_m', 'climb_mps'];

    public function parameters(): array
    {
        return Parameter::common(
            'climb_m-', 'climb_mps', 'tilt_start_deg', 'tilt_end_deg', 'tilt_after_s', 'distance_m', 'height_m', 'start_bearing_deg',
            'heading_deg', 'ease_s',
        );
    }

    public function judging(Intent $intent): Judging
    {
        return Judging::reveal('ZAZA', PathKind::Vertical);
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [
            'climb_m' => -16.0, 'climb_mps' => self::comfortable($mode, Finger::Climb, 1.2), 'tilt_after_s' => 1.5,
            'tilt_end_deg' => self::horizonOnThird($intent),
            'distance_m' => 18.0, 'height_m' => 18.0, 'start_bearing_deg' => 0.0, 'heading_deg' => 0.0, 'tilt_start_deg' => -80.0,
        ];
    }

    protected function strokes(Intent $intent, Pace $pace): array
    {
        return ['climb' => [$pace->stroke->of(-$pace->length)], 'tilt' => [self::tilted($intent, $pace)]];
    }
}
