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
use Larkspur\Move\Shape\Stance;
use Larkspur\Move\Timing\Pace;
use Larkspur\Rig\ModeTune;

/** Rise, turn and tilt: straight up with a turn while the lens lifts; its exact reverse comes down as it sinks. */
final readonly class RiseTurnTilt extends Played
{
    public function about(): About
    {
        return new About(
            'rise-turn-tilt', Group::Reveal, 4, 'climb* > turn± tilt*', ['rise-and-rotate', 'tilt'],
            faults: ['out-of-step', 'flick-stop', 'too-quick'], family: 'rise-and-rotate',
        );
    }

    protected const MEASURE = ['climb_m', 'climb_mps'];

    public function parameters(): array
    {
        return Parameter::common(
            'climb_m', 'climb_mps', 'turn_deg', 'tilt_start_deg', 'tilt_end_deg', 'tilt_after_s', 'distance_m', 'height_m',
            'start_bearing_deg', 'heading_deg', 'ease_s',
        );
    }

    public function judging(Intent $intent): Judging
    {
        return Judging::reveal('ZAAA', PathKind::Vertical);
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [
            'climb_m' => 9.0, 'climb_mps' => self::comfortable($mode, Finger::Climb, 0.8), 'turn_deg' => 50.0, 'tilt_after_s' => 1.0,
            'tilt_end_deg' => -8.0,
            'distance_m' => 10.0, 'height_m' => 1.8, 'start_bearing_deg' => 0.0, 'heading_deg' => 0.0, 'tilt_start_deg' => -50.0,
        ];
    }

    protected function strokes(Intent $intent, Pace $pace): array
    {
        return [
            'climb' => [$pace->stroke->of(Stance::sign($intent, 'climb_m') * $pace->length)], 'turn' => [self::turned($intent, $pace)],
            'tilt' => [self::tilted($intent, $pace)],
        ];
    }
}
