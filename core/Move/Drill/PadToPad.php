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

/** Pad to pad: take off, cross at eye level, land on the other mark; there and back. */
final readonly class PadToPad extends Drill
{
    public function about(): About
    {
        return new About('pad-to-pad', Group::Drill, 1, 'climb* run*', ['hover'], faults: ['off-mark', 'bobbing']);
    }

    public function parameters(): array
    {
        return Parameter::common('side_m', 'height_m', 'heading_deg', 'ease_s');
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [
            'side_m' => 3.0, 'height_m' => 0.1, 'heading_deg' => 0.0,
        ];
    }

    protected function legs(Intent $intent): Legs
    {
        $side = self::value($intent, 'side_m', 3.0);

        return self::begin($intent)
            ->leg(['climb' => 1.6], 0.7)
            ->leg(['run' => $side], 0.8)
            ->leg(['climb' => -1.6], 0.6, Mark::TOUCHDOWN)
            ->leg(['climb' => 1.6], 0.7)
            ->leg(['run' => -$side], 0.8)
            ->leg(['climb' => -1.6], 0.6, Mark::TOUCHDOWN);
    }
}
