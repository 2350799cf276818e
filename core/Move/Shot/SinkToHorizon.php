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

/** Sink to the horizon: ahead, down and tilt up at once; the horizon comes to rest on the third as both sticks centre. */
final readonly class SinkToHorizon extends Played
{
    public function about(): About
    {
        return new About(
            'sink-to-horizon', Group::Reveal, 5, 'climb- run+ > tilt+', ['ground-to-horizon', 'drop-and-tilt'],
            faults: ['out-of-step', 'half-sky', 'flick-stop'], family: 'push-in-from-high',
        );
    }

    public function parameters(): array
    {
        return Parameter::common(
            'length_m', 'climb_m-', 'pace_mps', 'tilt_start_deg', 'tilt_end_deg', 'tilt_after_s', 'distance_m', 'height_m',
            'start_bearing_deg', 'heading_deg', 'ease_s',
        );
    }

    public function judging(Intent $intent): Judging
    {
        return Judging::reveal('AAZA');
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [
            'length_m' => 30.0, 'climb_m' => -8.0, 'pace_mps' => self::comfortable($mode, Finger::Run, 2.0), 'tilt_after_s' => 1.0,
            'tilt_end_deg' => self::horizonOnThird($intent),
            'distance_m' => 50.0, 'height_m' => 16.0, 'start_bearing_deg' => 0.0, 'heading_deg' => 0.0, 'tilt_start_deg' => -60.0,
        ];
    }

    protected function strokes(Intent $intent, Pace $pace): array
    {
        return [
            'run' => [$pace->stroke], 'climb' => [$pace->stroke->of(-abs($intent->number('climb_m') ?? 8.0))],
            'tilt' => [self::tilted($intent, $pace)],
        ];
    }
}
