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

/** Curved retreat: back and sideways in equal shares while the craft turns the same way, along a curved edge. */
final readonly class CurvedRetreat extends Played
{
    public function about(): About
    {
        return new About(
            'curved-retreat', Group::Away, 4, 'run- slide± > turn=', ['diagonal-dolly', 'backward-with-pan'],
            faults: ['uneven', 'out-of-step', 'drift'], family: 'backward-with-pan', caution: true,
        );
    }

    public function parameters(): array
    {
        return Parameter::common(
            'length_m', 'side', 'pace_mps', 'turn_deg', 'distance_m', 'height_m', 'start_bearing_deg', 'heading_deg', 'tilt_start_deg',
            'ease_s',
        );
    }

    public function judging(Intent $intent): Judging
    {
        return Judging::bent('AZAZ');
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [
            'length_m' => 18.0, 'side' => 'right', 'pace_mps' => self::comfortable($mode, Finger::Run, 1.4), 'turn_deg' => 60.0,
            'distance_m' => 6.0, 'height_m' => 2.5, 'start_bearing_deg' => 0.0, 'heading_deg' => 0.0, 'tilt_start_deg' => -4.0,
        ];
    }

    protected function strokes(Intent $intent, Pace $pace): array
    {
        return [
            'run' => [$pace->stroke->of(-$pace->length * M_SQRT1_2)],
            'slide' => [$pace->stroke->of(Stance::way($intent) * $pace->length * M_SQRT1_2)],
            'turn' => [self::turned($intent, $pace, Stance::way($intent))],
        ];
    }
}
