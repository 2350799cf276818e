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

/** Creeping tilt-up: close over the ground, slowly ahead, the lens lifting until the place is told. */
final readonly class LowTiltUp extends Played
{
    public function about(): About
    {
        return new About(
            'low-tilt-up', Group::Reveal, 2, 'run+ > tilt+', ['tilt'], faults: ['bobbing', 'flick-stop', 'too-quick'],
            family: 'ground-to-horizon', caution: true,
        );
    }

    public function parameters(): array
    {
        return Parameter::common(
            'length_m', 'pace_mps', 'tilt_start_deg', 'tilt_end_deg', 'tilt_after_s', 'distance_m', 'height_m', 'start_bearing_deg',
            'heading_deg', 'ease_s',
        );
    }

    public function judging(Intent $intent): Judging
    {
        return Judging::reveal('AZZA');
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        $usual = [
            'length_m' => 8.0, 'pace_mps' => self::comfortable($mode, Finger::Run, 0.7), 'tilt_after_s' => 1.0,
            'distance_m' => 24.0, 'height_m' => 2.2, 'start_bearing_deg' => 0.0, 'heading_deg' => 0.0, 'tilt_start_deg' => -60.0,
        ];

        // Up to what it discloses, however high that stands.
        return [...$usual, 'tilt_end_deg' => max(-6.0, self::lookingInTheEnd($intent, $usual, -1, 1 / 6))];
    }

    protected function strokes(Intent $intent, Pace $pace): array
    {
        return ['run' => [$pace->stroke], 'tilt' => [self::tilted($intent, $pace)]];
    }
}
