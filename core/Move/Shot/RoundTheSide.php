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

/** Round the side: sideways out from behind something near, until the hidden thing stands in the frame. */
final readonly class RoundTheSide extends Played
{
    public function about(): About
    {
        return new About(
            'round-the-side', Group::Reveal, 2, 'slide±', ['lateral-dolly'], faults: ['stopped-short', 'leak', 'uneven'],
            family: 'lateral-dolly', foreground: true,
        );
    }

    public function parameters(): array
    {
        return Parameter::common(
            'length_m', 'side', 'pace_mps', 'distance_m', 'height_m', 'start_bearing_deg', 'heading_deg', 'tilt_start_deg', 'ease_s',
        );
    }

    public function judging(Intent $intent): Judging
    {
        return Judging::straight(Crossing::Sideways);
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [
            'length_m' => 16.0, 'side' => 'right', 'pace_mps' => self::comfortable($mode, Finger::Slide, 1.4),
            'distance_m' => 24.0, 'height_m' => 3.0, 'start_bearing_deg' => 0.0, 'heading_deg' => 0.0,
            'tilt_start_deg' => self::lookingAt($intent, 24.0, 3.0),
        ];
    }

    protected function strokes(Intent $intent, Pace $pace): array
    {
        return ['slide' => [$pace->stroke->of(Stance::way($intent) * $pace->length)]];
    }

    protected function pivot(): float
    {
        return 1.0;
    }
}
