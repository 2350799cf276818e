<?php

declare(strict_types=1);

namespace Larkspur\Move\Drill;

use Larkspur\Controls\Finger;
use Larkspur\Move\About;
use Larkspur\Move\Group;
use Larkspur\Move\Intent;
use Larkspur\Move\Judging\Mark;
use Larkspur\Move\Parameter;
use Larkspur\Move\Shape\Drill;
use Larkspur\Move\Shape\Legs;
use Larkspur\Rig\ModeTune;

/** Return to centre: one axis out slowly and back slowly, both ways, the finger on it throughout. */
final readonly class ReturnToCentre extends Drill
{
    public function about(): About
    {
        return new About(
            'return-to-centre', Group::Drill, 1, '(climb*) (turn*) (run*) (slide*) (tilt*)', [], faults: ['flick-stop', 'leak'],
        );
    }

    public function parameters(): array
    {
        return Parameter::common('finger', 'height_m', 'heading_deg', 'ease_s');
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [
            'finger' => 'run', 'height_m' => 6.0, 'heading_deg' => 0.0,
        ];
    }

    protected function legs(Intent $intent): Legs
    {
        $finger = Finger::tryFrom($intent->choice('finger') ?? 'run') ?? Finger::Run;
        [$far, $rate] = $finger->rotates() ? [20.0, 8.0] : [4.0, 1.0];

        return self::begin($intent)
            ->leg([$finger->value => $far], $rate)
            ->leg([$finger->value => -$far], $rate, Mark::CORNER)
            ->leg([$finger->value => -$far], $rate)
            ->leg([$finger->value => $far], $rate, Mark::CLOSE);
    }
}
