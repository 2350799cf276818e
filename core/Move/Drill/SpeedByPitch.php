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

/** Speed by pitch: two runs at two paces at one height; the throttle must not be what makes the pace. */
final readonly class SpeedByPitch extends Drill
{
    public function about(): About
    {
        return new About('speed-by-pitch', Group::Drill, 3, 'run*', ['hover'], faults: ['throttle-bounce', 'uneven'], caution: true);
    }

    public function parameters(): array
    {
        return Parameter::common('length_m', 'pace_mps', 'height_m', 'heading_deg', 'ease_s');
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [
            'length_m' => 8.0, 'pace_mps' => 1.5, 'height_m' => 1.4, 'heading_deg' => 0.0,
        ];
    }

    protected function legs(Intent $intent): Legs
    {
        $far = self::value($intent, 'length_m', 8.0);
        $pace = self::value($intent, 'pace_mps', 1.5);

        return self::begin($intent)
            ->leg(['run' => $far], $pace, Mark::CORNER)
            ->leg(['run' => -$far], 0.6 * $pace, Mark::CLOSE);
    }
}
