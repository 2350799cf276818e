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

/** Climb to the ceiling: straight up to the local legal height, once round, and down again. */
final readonly class CeilingClimb extends Drill
{
    public function about(): About
    {
        return new About('ceiling-climb', Group::Drill, 2, 'climb* turn*', ['hover-and-turn'], faults: ['leak', 'uneven'], caution: true);
    }

    public function parameters(): array
    {
        return Parameter::common('climb_m+', 'climb_mps', 'height_m', 'heading_deg', 'ease_s');
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [
            'climb_m' => 40.0, 'climb_mps' => 2.0, 'height_m' => 3.0, 'heading_deg' => 0.0,
        ];
    }

    protected function legs(Intent $intent): Legs
    {
        $climb = abs(self::value($intent, 'climb_m', 40.0));
        $rate = abs(self::value($intent, 'climb_mps', 2.0));

        return self::begin($intent)
            ->leg(['climb' => $climb], $rate)
            ->leg(['turn' => 360.0], 20.0, Mark::HEADING)
            ->leg(['climb' => -$climb], 0.8 * $rate, Mark::CLOSE);
    }
}
