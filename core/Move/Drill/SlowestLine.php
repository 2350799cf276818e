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

/** Slowest straight line: ahead as slowly as the craft will go. */
final readonly class SlowestLine extends Drill
{
    public function about(): About
    {
        return new About(
            'slowest-line', 'Slowest straight line', Group::Drill, 1, 'run+', ['hover'],
            does: 'The finest press of one thumb, held.',
            clean: 'As slow as the craft will go, dead straight, no surge.',
            faults: [
                'uneven' => 'Brace the thumb on the rim of the gate.',
                'leak' => 'Look along the line you fly.',
            ],
        );
    }

    public function parameters(): array
    {
        return Parameter::common('length_m', 'pace_mps', 'height_m', 'heading_deg', 'ease_s');
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [
            'length_m' => 6.0, 'pace_mps' => 0.5, 'height_m' => 1.6, 'heading_deg' => 0.0,
        ];
    }

    protected function legs(Intent $intent): Legs
    {
        return self::begin($intent)
            ->leg(['run' => self::value($intent, 'length_m', 6.0)], self::value($intent, 'pace_mps', 0.5), Mark::CLOSE);
    }
}
