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
use Larkspur\Move\Stance;
use Larkspur\Rig\ModeTune;

/** Out, turn, back, land: away, half a turn, home with the nose toward you, and down. */
final readonly class OutAndBack extends Drill
{
    public function about(): About
    {
        return new About(
            'out-and-back', 'Out, turn, back, land', Group::Drill, 2, 'run+ turn* climb-', ['hover-and-turn'],
            does: 'Away, half a turn, home nose-in, down.',
            clean: 'The way home lies on the way out; no wrong correction.',
            faults: [
                'wrong-way' => 'Nose-in, left is right: push where the nose should go.',
                'off-mark' => 'Line up before you run.',
            ],
        );
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
