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

/** Indoor tour: along rooms and round their corners at walking pace, at the height of the eyes. */
final readonly class IndoorTour extends Drill
{
    public function about(): About
    {
        return new About(
            'indoor-tour', Group::Drill, 4, 'run+ turn*', ['speed-by-pitch', 'square-with-turns'],
            faults: ['throttle-bounce', 'kick', 'off-mark'], caution: true,
        );
    }

    public function parameters(): array
    {
        return Parameter::common('side_m', 'pace_mps', 'height_m', 'heading_deg', 'ease_s');
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [
            'side_m' => 5.0, 'pace_mps' => 1.0, 'height_m' => 1.5, 'heading_deg' => 0.0,
        ];
    }

    protected function legs(Intent $intent): Legs
    {
        $side = self::value($intent, 'side_m', 5.0);
        $pace = self::value($intent, 'pace_mps', 1.0);

        return self::begin($intent)
            ->leg(['run' => $side], $pace)
            ->leg(['turn' => 90.0], 20.0, Mark::CORNER)
            ->leg(['run' => 0.7 * $side], $pace)
            ->leg(['turn' => -90.0], 20.0, Mark::CORNER)
            ->leg(['run' => $side], $pace, Mark::CLOSE);
    }
}
