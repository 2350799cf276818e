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
use Larkspur\Move\Shape\Stance;
use Larkspur\Rig\ModeTune;

/** Out, turn, back, land: away, half a turn, home with the nose toward you, and down. */
final readonly class OutAndBack extends Drill
{
    public function about(): About
    {
        return new About('out-and-back', Group::Drill, 2, 'run+ turn* climb-', ['hover-and-turn'], faults: ['wrong-way', 'off-mark']);
    }

    public function parameters(): array
    {
        return Parameter::common('length_m', 'direction', 'height_m', 'heading_deg', 'ease_s');
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [
            'length_m' => 8.0, 'direction' => Stance::CLOCKWISE, 'height_m' => 1.6, 'heading_deg' => 0.0,
        ];
    }

    protected function legs(Intent $intent): Legs
    {
        $far = self::value($intent, 'length_m', 8.0);

        return self::begin($intent)
            ->leg(['run' => $far], 1.2)
            ->leg(['turn' => Stance::way($intent, 'direction') * 180.0], 30.0, Mark::HEADING)
            ->leg(['run' => $far], 1.2, Mark::CORNER)
            ->leg(['climb' => -1.4], 0.6, Mark::TOUCHDOWN);
    }
}
