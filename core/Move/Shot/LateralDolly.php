<?php

declare(strict_types=1);

namespace Larkspur\Move\Shot;

use Larkspur\Move\About;
use Larkspur\Move\Crossing;
use Larkspur\Move\Group;
use Larkspur\Move\Intent;
use Larkspur\Move\Judging;
use Larkspur\Move\Pace;
use Larkspur\Move\Parameter;
use Larkspur\Move\Played;
use Larkspur\Move\Stance;
use Larkspur\Rig\Finger;
use Larkspur\Rig\ModeTune;

/** Lateral dolly: sideways past the subject, the heading kept. From far away it hardly shows. */
final readonly class LateralDolly extends Played
{
    public function about(): About
    {
        return new About(
            'lateral-dolly', 'Lateral dolly', Group::Across, 1, 'slide±', ['pure-axis'],
            does: 'Near things cross the frame quickly, far things slowly: depth shows by itself.',
            clean: 'The distance to the subject does not change; nothing turns.',
            faults: [
                'leak' => 'Keep the thumb on three or nine o’clock; a touch of run bends the line.',
                'uneven' => 'Find the travel, then freeze the thumb against your own grip.',
                'too-quick' => 'Go farther out or slower until a near post takes seven seconds to cross.',
            ], family: 'lateral-dolly',
        );
    }

    public function parameters(): array
    {
        return Parameter::common('length_m', 'side', 'pace_mps', 'distance_m', 'height_m', 'start_bearing_deg', 'heading_deg', 'tilt_start_deg', 'ease_s');
    }

    public function judging(Intent $intent): Judging
    {
        return Judging::straight(Crossing::Sideways);
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [
            'length_m' => 24.0, 'side' => 'right', 'pace_mps' => self::comfortable($mode, Finger::Slide, 2.0),
            'distance_m' => 22.0, 'height_m' => 3.0, 'start_bearing_deg' => 0.0, 'heading_deg' => 0.0, 'tilt_start_deg' => self::lookingAt($intent, 22.0, 3.0),
        ];
    }

    protected function strokes(Intent $intent, Pace $pace): array
    {
        return ['slide' => [$pace->stroke->of(Stance::way($intent) * $pace->length)]];
    }

    protected function pivot(): float
    {
        return 0.5;
    }
}
