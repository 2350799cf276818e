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

/** Return home: up to the return height, home, the lens down for the last part, and down onto the mark. */
final readonly class ReturnHome extends Drill
{
    public function about(): About
    {
        return new About(
            'return-home', Group::Drill, 2, 'climb* run+ (tilt*)', ['ceiling-climb'], faults: ['off-mark', 'leak'], caution: true,
        );
    }

    public function parameters(): array
    {
        return Parameter::common('length_m', 'climb_m+', 'height_m', 'heading_deg', 'ease_s');
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [
            'length_m' => 30.0, 'climb_m' => 12.0, 'height_m' => 2.0, 'heading_deg' => 0.0,
        ];
    }

    protected function legs(Intent $intent): Legs
    {
        $climb = abs(self::value($intent, 'climb_m', 12.0));

        return self::begin($intent)
            ->leg(['climb' => $climb], 1.6)
            ->leg(['run' => self::value($intent, 'length_m', 30.0)], 2.5, Mark::CORNER)
            ->leg(['tilt' => -60.0], 12.0)
            ->leg(['climb' => -$climb], 1.2, Mark::TOUCHDOWN);
    }

    protected function pivot(): float
    {
        return 1.0;
    }
}
