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
use Larkspur\Move\Shape\Stance;
use Larkspur\Rig\ModeTune;

/** Square, one heading: ahead, sideways, back, sideways; the lens faces one way throughout. */
final readonly class SquareFixedHeading extends Drill
{
    public function about(): About
    {
        return new About('square-fixed-heading', Group::Drill, 2, 'run* slide*', ['pure-axis'], faults: ['leak', 'off-mark']);
    }

    public function parameters(): array
    {
        return Parameter::common('side_m', 'direction', 'turns', 'height_m', 'heading_deg', 'ease_s');
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [
            'side_m' => 3.0, 'direction' => Stance::CLOCKWISE, 'turns' => 1.0, 'height_m' => 1.6, 'heading_deg' => 0.0,
        ];
    }

    protected function legs(Intent $intent): Legs
    {
        $side = self::value($intent, 'side_m', 3.0);
        $way = Stance::way($intent, 'direction');
        $legs = self::begin($intent);
        for ($round = 1, $rounds = (int) self::value($intent, 'turns', 1.0); $round <= $rounds; $round++) {
            $legs = $legs->leg(['run' => $side], 0.9, Mark::CORNER)->leg(['slide' => $way * $side], 0.9, Mark::CORNER)
                ->leg(['run' => -$side], 0.9, Mark::CORNER)->leg(
                    ['slide' => -$way * $side], 0.9, $round === $rounds ? Mark::CLOSE : Mark::CORNER,
                );
        }

        return $legs;
    }
}
