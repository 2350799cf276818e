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

/**
 * Sink, turn and tilt: ahead and down while the craft turns and the lens comes down onto the subject, which ends in the
 * middle.
 */
final readonly class SinkTurnTilt extends Played
{
    public function about(): About
    {
        return new About(
            'sink-turn-tilt', Group::Reveal, 5, 'climb- run+ > turn± tilt-', ['sink-to-horizon', 'rise-and-rotate'],
            faults: ['off-mark', 'out-of-step', 'flick-stop'],
        );
    }

    public function parameters(): array
    {
        return Parameter::common(
            'length_m', 'climb_m-', 'pace_mps', 'turn_deg', 'tilt_start_deg', 'tilt_end_deg', 'tilt_after_s', 'distance_m', 'height_m',
            'start_bearing_deg', 'heading_deg', 'ease_s',
        );
    }

    public function judging(Intent $intent): Judging
    {
        return Judging::reveal('AAAA', PathKind::Arc);
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [
            'length_m' => 30.0, 'climb_m' => -8.0, 'pace_mps' => self::comfortable($mode, Finger::Run, 2.0), 'turn_deg' => 60.0,
            'tilt_after_s' => 1.0, 'tilt_end_deg' => self::lookingAt($intent, 16.0, 10.0),
            'distance_m' => 16.0, 'height_m' => 10.0, 'start_bearing_deg' => 0.0, 'heading_deg' => 0.0, 'tilt_start_deg' => -2.0,
        ];
    }

    protected function strokes(Intent $intent, Pace $pace): array
    {
        return [
            'run' => [$pace->stroke],
            'climb' => [$pace->stroke->of(-abs($intent->number('climb_m') ?? 8.0))],
            'turn' => [self::turned($intent, $pace)],
            'tilt' => [self::tilted($intent, $pace)],
        ];
    }

    protected function pivot(): float
    {
        return 1.0;
    }
}
