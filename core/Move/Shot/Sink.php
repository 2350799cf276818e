<?php

declare(strict_types=1);

namespace Larkspur\Move\Shot;

use Larkspur\Controls\Finger;
use Larkspur\Move\About;
use Larkspur\Move\Group;
use Larkspur\Move\Intent;
use Larkspur\Move\Judging\Judging;
use Larkspur\Move\Parameter;
use Larkspur\Move\Shape\Played;
use Larkspur\Move\Timing\Pace;
use Larkspur\Rig\ModeTune;

/** Sink: straight down, nothing else. */
final readonly class Sink extends Played
{
    public function about(): About
    {
        return new About(
            'sink', Group::Upright, 1, 'climb-', ['pure-axis'], faults: ['leak', 'flick-stop', 'uneven'], family: 'lift-and-tilt',
            withTilt: 'drop-and-tilt',
        );
    }

    protected const MEASURE = ['climb_m', 'climb_mps'];

    public function parameters(): array
    {
        return Parameter::common(
            'climb_m-', 'climb_mps', 'distance_m', 'height_m', 'start_bearing_deg', 'heading_deg', 'tilt_start_deg', 'ease_s',
        );
    }

    public function judging(Intent $intent): Judging
    {
        return Judging::upright('ZAZZ');
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [
            'climb_m' => -10.0, 'climb_mps' => self::comfortable($mode, Finger::Climb, 0.9),
            'distance_m' => 18.0, 'height_m' => 14.0, 'start_bearing_deg' => 0.0, 'heading_deg' => 0.0, 'tilt_start_deg' => -12.0,
        ];
    }

    protected function strokes(Intent $intent, Pace $pace): array
    {
        return ['climb' => [$pace->stroke->of(-$pace->length)]];
    }
}
