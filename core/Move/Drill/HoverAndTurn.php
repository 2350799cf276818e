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

/** Hover and turn: left to ten o’clock, right to two o’clock, back, then one full turn each way. */
final readonly class HoverAndTurn extends Drill
{
    public function about(): About
    {
        return new About('hover-and-turn', Group::Drill, 1, 'turn*', ['hover'], faults: ['leak', 'off-mark']);
    }

    public function parameters(): array
    {
        return Parameter::common('spin_dps', 'height_m', 'heading_deg', 'ease_s');
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [
            'spin_dps' => 15.0, 'height_m' => 1.6, 'heading_deg' => 0.0,
        ];
    }

    protected function legs(Intent $intent): Legs
    {
        $rate = self::value($intent, 'spin_dps', 15.0);

        return self::begin($intent)
            ->leg(['turn' => -60.0], $rate, Mark::HEADING)
            ->leg(['turn' => 120.0], $rate, Mark::HEADING)
            ->leg(['turn' => -60.0], $rate, Mark::HEADING)
            ->leg(['turn' => 360.0], 2 * $rate, Mark::HEADING)
            ->leg(['turn' => -360.0], 2 * $rate, Mark::CLOSE);
    }
}
