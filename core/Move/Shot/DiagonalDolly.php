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

/** Diagonal dolly: ahead and sideways in equal shares, one thumb held at forty-five degrees. */
final readonly class DiagonalDolly extends Played
{
    public function about(): About
    {
        return new About(
            'diagonal-dolly', Group::Across, 2, 'run+ slide±', ['pure-axis'], faults: ['leak', 'uneven'], family: 'diagonal-dolly',
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
            'length_m' => 24.0, 'side' => 'right', 'pace_mps' => self::comfortable($mode, Finger::Run, 1.8),
            'distance_m' => 32.0, 'height_m' => 3.0, 'start_bearing_deg' => 0.0, 'heading_deg' => 0.0,
            'tilt_start_deg' => self::lookingAt($intent, 32.0, 3.0),
        ];
    }

    protected function strokes(Intent $intent, Pace $pace): array
    {
        return [
            'run' => [$pace->stroke->of($pace->length * M_SQRT1_2)],
            'slide' => [$pace->stroke->of(Stance::way($intent) * $pace->length * M_SQRT1_2)],
        ];
    }
}
