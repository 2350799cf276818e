<?php

declare(strict_types=1);

namespace Larkspur\Move\Shot;

use Larkspur\Controls\Finger;
use Larkspur\Measure\Angle;
use Larkspur\Move\About;
use Larkspur\Move\Group;
use Larkspur\Move\Intent;
use Larkspur\Move\Judging\Crossing;
use Larkspur\Move\Judging\Framed;
use Larkspur\Move\Judging\Judging;
use Larkspur\Move\Parameter;
use Larkspur\Move\Shape\Played;
use Larkspur\Move\Timing\Pace;
use Larkspur\Rig\ModeTune;

/** Pan in place: the craft turns over one spot. */
final readonly class Pan extends Played
{
    public function about(): About
    {
        return new About('pan', Group::Look, 1, 'turn±', ['hover-and-turn'], faults: ['kick', 'uneven', 'too-quick'], family: 'pan');
    }

    protected const MEASURE = ['turn_deg', 'spin_dps'];

    public function parameters(): array
    {
        return Parameter::common(
            'turn_deg', 'spin_dps', 'height_m', 'start_bearing_deg', 'heading_deg', 'distance_m', 'tilt_start_deg', 'ease_s',
        );
    }

    public function judging(Intent $intent): Judging
    {
        return Judging::onTheSpot('ZZAZ', Framed::Sweep, Crossing::Turn);
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [
            'turn_deg' => 60.0, 'spin_dps' => self::comfortable($mode, Finger::Turn, 7.0),
            'distance_m' => 25.0, 'height_m' => 6.0, 'start_bearing_deg' => 0.0, 'heading_deg' => 0.0, 'tilt_start_deg' => -4.0,
        ];
    }

    protected function strokes(Intent $intent, Pace $pace): array
    {
        return ['turn' => [$pace->stroke->of(($intent->number('turn_deg') ?? 60.0) * Angle::DEGREE)]];
    }
}
