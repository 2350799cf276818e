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
use Larkspur\Rig\ModeTune;

/** Speed by pitch: two runs at two paces at one height; the throttle must not be what makes the pace. */
final readonly class SpeedByPitch extends Drill
{
    public function about(): About
    {
        return new About(
            'speed-by-pitch', 'Speed by pitch', Group::Drill, 3, 'run*', ['hover'],
            does: 'A small ducted craft made quicker and slower with its nose, not with its throttle.',
            clean: 'The height does not move while the pace does.',
            faults: [
                'throttle-bounce' => 'The left thumb rests: pace comes from the right one.',
                'uneven' => 'Lean it, do not poke it.',
            ],
            caution: 'Guards on, and only with people who know what you do.',
        );
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
