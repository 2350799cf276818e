<?php

declare(strict_types=1);

namespace Larkspur\Move\Drill;

use Larkspur\Move\About;
use Larkspur\Move\Drill;
use Larkspur\Move\Group;
use Larkspur\Move\Intent;
use Larkspur\Move\Legs;
use Larkspur\Move\Mark;
use Larkspur\Move\Parameter;
use Larkspur\Rig\ModeTune;

/** Look straight down: the wheel from level to straight down and back. */
final readonly class StraightDown extends Drill
{
    public function about(): About
    {
        return new About(
            'straight-down', 'Look straight down', Group::Drill, 2, 'tilt*', ['return-to-centre'],
            does: 'The wheel to its lower end and back.',
            clean: 'Both ends reached without a jolt.',
            faults: [
                'flick-stop' => 'Slower into the end than out of it.',
            ],
        );
    }

    public function parameters(): array
    {
        return Parameter::common('height_m', 'heading_deg', 'ease_s');
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [
            'height_m' => 8.0, 'heading_deg' => 0.0, 'tilt_start_deg' => 0.0,
        ];
    }

    protected function legs(Intent $intent): Legs
    {
        return self::begin($intent)
            ->leg(['tilt' => -88.0], 9.0, Mark::HEADING)
            ->leg(['tilt' => 88.0], 9.0, Mark::CLOSE);
    }
}
