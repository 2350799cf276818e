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

/** Slowest straight line: ahead as slowly as the craft will go. */
final readonly class SlowestLine extends Drill
{
    public function about(): About
    {
        return new About('slowest-line', Group::Drill, 1, 'run+', ['hover'], faults: ['uneven', 'leak']);
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
