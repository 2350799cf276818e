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

/** Ground to horizon: ahead while the lens lifts from the ground until the horizon stands on the upper third. */
final readonly class GroundToHorizon extends Played
{
    public function about(): About
    {
        return new About(
            'ground-to-horizon', Group::Reveal, 3, 'run+ (climb+) > tilt+', ['push-in', 'tilt'],
            faults: ['too-quick', 'half-sky', 'flick-stop'], family: 'ground-to-horizon',
        );
    }

    public function parameters(): array
    {
        return Parameter::common(
            'length_m', 'pace_mps', 'tilt_start_deg', 'tilt_end_deg', 'tilt_after_s', 'climb_m', 'distance_m', 'height_m',
            'start_bearing_deg', 'heading_deg', 'ease_s',
        );
    }

    public function judging(Intent $intent): Judging
    {
        return Judging::reveal(abs($intent->number('climb_m') ?? 0.0) > 0.05 ? 'AAZA' : 'AZZA');
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [
            'length_m' => 40.0, 'pace_mps' => self::comfortable($mode, Finger::Run, 2.8), 'tilt_after_s' => 1.0,
            'tilt_end_deg' => self::horizonOnThird($intent), 'climb_m' => 0.0,
            'distance_m' => 60.0, 'height_m' => 14.0, 'start_bearing_deg' => 0.0, 'heading_deg' => 0.0, 'tilt_start_deg' => -90.0,
        ];
    }

    protected function strokes(Intent $intent, Pace $pace): array
    {
        return array_filter([
            'run' => [$pace->stroke->of($pace->length)],
            'climb' => abs($intent->number('climb_m') ?? 0.0) > 0.05 ? [$pace->stroke->of($intent->number('climb_m') ?? 0.0)] : [],
            'tilt' => [self::tilted($intent, $pace)],
        ]);
    }
}
