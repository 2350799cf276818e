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

/** Landing: home, tail toward you, and straight down onto the mark. */
final readonly class Landing extends Drill
{
    public function about(): About
    {
        return new About('landing', Group::Drill, 1, 'run+ climb-', ['hover'], faults: ['off-mark', 'bobbing']);
    }

    public function parameters(): array
    {
        return Parameter::common('length_m', 'climb_m-', 'height_m', 'heading_deg', 'ease_s');
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [
            'length_m' => 8.0, 'climb_m' => -2.5, 'height_m' => 0.1, 'heading_deg' => 0.0,
        ];
    }

    protected function legs(Intent $intent): Legs
    {
        return self::begin($intent)
            ->leg(['run' => self::value($intent, 'length_m', 8.0)], 1.2, Mark::CORNER)
            ->leg(['climb' => -abs(self::value($intent, 'climb_m', 2.5))], 0.6, Mark::TOUCHDOWN);
    }

    protected function pivot(): float
    {
        return 1.0;
    }
}
