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
use Larkspur\Move\Shape\Stance;
use Larkspur\Move\Timing\Pace;
use Larkspur\Rig\ModeTune;

/** Rise and rotate: straight up with a slow turn, one thumb off its upright; its exact reverse comes down. */
final readonly class RiseAndRotate extends Played
{
    public function about(): About
    {
        return new About(
            'rise-and-rotate', Group::Reveal, 2, 'climb* > turn±', ['rise', 'pan'], faults: ['uneven', 'kick', 'drift'],
            family: 'rise-and-rotate',
        );
    }

    protected const MEASURE = ['climb_m', 'climb_mps'];

    public function parameters(): array
    {
        return Parameter::common(
            'climb_m', 'climb_mps', 'turn_deg', 'distance_m', 'height_m', 'start_bearing_deg', 'heading_deg', 'tilt_start_deg', 'ease_s',
        );
    }

    public function judging(Intent $intent): Judging
    {
        return Judging::upright('ZAAZ');
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [
            'climb_m' => 12.0, 'climb_mps' => self::comfortable($mode, Finger::Climb, 1.0), 'turn_deg' => 60.0,
            'distance_m' => 14.0, 'height_m' => 2.5, 'start_bearing_deg' => 0.0, 'heading_deg' => 0.0, 'tilt_start_deg' => -10.0,
        ];
    }

    protected function strokes(Intent $intent, Pace $pace): array
    {
        return ['climb' => [$pace->stroke->of(Stance::sign($intent, 'climb_m') * $pace->length)], 'turn' => [self::turned($intent, $pace)]];
    }
}
