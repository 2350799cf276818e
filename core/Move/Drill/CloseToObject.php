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

/** Close to an object: slowly up to it, stay, and back off. */
final readonly class CloseToObject extends Drill
{
    public function about(): About
    {
        return new About(
            'close-to-object', Group::Drill, 4, 'run*', ['slowest-line', 'nose-in-bay'], faults: ['kick', 'drift'], caution: true,
        );
    }

    public function parameters(): array
    {
        return Parameter::common('length_m', 'pace_mps', 'height_m', 'heading_deg', 'ease_s');
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [
            'length_m' => 6.0, 'pace_mps' => 0.6, 'height_m' => 3.0, 'heading_deg' => 0.0,
        ];
    }

    protected function legs(Intent $intent): Legs
    {
        $far = self::value($intent, 'length_m', 6.0);
        $pace = self::value($intent, 'pace_mps', 0.6);

        return self::begin($intent)
            ->leg(['run' => $far], $pace, Mark::CORNER)
            ->rest(6.0)
            ->leg(['run' => -$far], $pace, Mark::CLOSE);
    }
}
