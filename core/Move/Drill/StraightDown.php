<?php

declare(strict_types=1);

namespace Larkspur\Move\Drill;

use Larkspur\Move\About;
use Larkspur\Move\Group;
use Larkspur\Move\Intent;
use Larkspur\Move\Judging\Mark;
use Larkspur\Move\Parameter;
use Larkspur\Move\Shape\Drill;
use Larkspur\Move\Shape\Legs;
use Larkspur\Rig\ModeTune;

/** Look straight down: the wheel from level to straight down and back. */
final readonly class StraightDown extends Drill
{
    public function about(): About
    {
        return new About('straight-down', Group::Drill, 2, 'tilt*', ['return-to-centre'], faults: ['flick-stop']);
    }

    public function parameters(): array
    {
        return Parameter::common('height_m', 'heading_deg', 'ease_s');
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return ['height_m' => 8.0, 'heading_deg' => 0.0];
    }

    protected function legs(Intent $intent): Legs
    {
        return self::begin($intent)
            ->leg(['tilt' => -88.0], 9.0, Mark::HEADING)
            ->leg(['tilt' => 88.0], 9.0, Mark::CLOSE);
    }
}
