<?php

declare(strict_types=1);

namespace Larkspur\Move\Drill;

use Larkspur\Move\About;
use Larkspur\Move\Group;
use Larkspur\Move\Handle\Scaled;
use Larkspur\Move\Intent;
use Larkspur\Move\Judging\Mark;
use Larkspur\Move\MovePlan;
use Larkspur\Move\Parameter;
use Larkspur\Move\Shape\Drill;
use Larkspur\Move\Shape\Legs;
use Larkspur\Rig\ModeTune;

/** Nose-in, reverse into a bay: facing you, back into a bay, out, across, and into the next. */
final readonly class NoseInBay extends Drill
{
    public function about(): About
    {
        return new About(
            'nose-in-bay', Group::Drill, 3, 'run* slide*', ['out-and-back', 'figure-of-eight'], faults: ['wrong-way', 'leak', 'kick'],
        );
    }

    public function parameters(): array
    {
        return Parameter::common('bay_m', 'side_m', 'height_m', 'heading_deg', 'ease_s');
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [
            'bay_m' => 3.0, 'side_m' => 3.0, 'height_m' => 1.6, 'heading_deg' => 180.0,
        ];
    }

    protected function shaped(MovePlan $plan, Intent $asked): array
    {
        return [Scaled::corner('bay_m')];
    }

    protected function legs(Intent $intent): Legs
    {
        $bay = self::value($intent, 'bay_m', 3.0);
        $side = self::value($intent, 'side_m', 3.0);

        return self::begin($intent)
            ->leg(['run' => -$bay], 0.7, Mark::CORNER)
            ->leg(['run' => $bay], 0.7)
            ->leg(['slide' => $side], 0.8)
            ->leg(['run' => -$bay], 0.7, Mark::CORNER)
            ->leg(['run' => $bay], 0.7)
            ->leg(['slide' => -$side], 0.8, Mark::CLOSE);
    }
}
