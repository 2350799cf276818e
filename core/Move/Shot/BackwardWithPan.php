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

/** Backward with a pan: the craft backs away and slowly turns, so that its path bends; a tilt may follow, the last to begin. */
final readonly class BackwardWithPan extends Played
{
    public function about(): About
    {
        return new About(
            'backward-with-pan', Group::Away, 4, 'run- > turn± (tilt*)', ['straight-back', 'pan'],
            faults: ['out-of-step', 'uneven', 'kick'], family: 'backward-with-pan', caution: true,
        );
    }

    public function parameters(): array
    {
        return Parameter::common(
            'length_m', 'pace_mps', 'turn_deg', 'distance_m', 'height_m', 'start_bearing_deg', 'heading_deg', 'tilt_start_deg',
            'tilt_end_deg', 'tilt_after_s', 'ease_s',
        );
    }

    public function judging(Intent $intent): Judging
    {
        return self::tilts($intent) ? Judging::reveal('AZAA', PathKind::Arc) : Judging::bent('AZAZ');
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        $tilt = self::lookingAt($intent, 14.0, 6.0);

        return [
            'length_m' => 28.0, 'pace_mps' => self::comfortable($mode, Finger::Run, 1.8), 'turn_deg' => 50.0,
            'distance_m' => 14.0, 'height_m' => 6.0, 'start_bearing_deg' => 0.0, 'heading_deg' => 0.0,
            'tilt_start_deg' => $tilt,
            // Without a tilt, unless one is asked for; then after the turn, which is itself after the run.
            'tilt_end_deg' => $intent->number('tilt_start_deg') ?? $tilt, 'tilt_after_s' => 2.0,
        ];
    }

    protected function strokes(Intent $intent, Pace $pace): array
    {
        return [
            'run' => [$pace->stroke->of(-$pace->length)], 'turn' => [self::turned($intent, $pace)],
            ...self::tilts($intent) ? ['tilt' => [self::tilted($intent, $pace)]] : [],
        ];
    }
}
