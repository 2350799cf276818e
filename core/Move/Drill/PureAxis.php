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

/** Pure axes: twelve, six, three and nine o’clock on each stick in turn, each out and back. */
final readonly class PureAxis extends Drill
{
    public function about(): About
    {
        return new About('pure-axis', Group::Drill, 1, 'climb* turn* run* slide*', ['return-to-centre'], faults: ['leak']);
    }

    public function parameters(): array
    {
        return Parameter::common('height_m', 'heading_deg', 'ease_s');
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [
            'height_m' => 6.0, 'heading_deg' => 0.0,
        ];
    }

    protected function legs(Intent $intent): Legs
    {
        return self::begin($intent)
            ->leg(['run' => 4.0], 1.2, Mark::CORNER)->leg(['run' => -4.0], 1.2, Mark::CORNER)
            ->leg(['slide' => 4.0], 1.2, Mark::CORNER)->leg(['slide' => -4.0], 1.2, Mark::CORNER)
            ->leg(['climb' => 3.0], 1.0, Mark::CORNER)->leg(['climb' => -3.0], 1.0, Mark::CORNER)
            ->leg(['turn' => 45.0], 15.0, Mark::HEADING)->leg(['turn' => -45.0], 15.0, Mark::CLOSE);
    }
}
