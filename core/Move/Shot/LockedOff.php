<?php

declare(strict_types=1);

namespace Larkspur\Move\Shot;

use Larkspur\Move\About;
use Larkspur\Move\Group;
use Larkspur\Move\Intent;
use Larkspur\Move\Judging\Crossing;
use Larkspur\Move\Judging\Framed;
use Larkspur\Move\Judging\Judging;
use Larkspur\Move\Judging\TakeTarget;
use Larkspur\Move\Parameter;
use Larkspur\Move\Shape\Played;
use Larkspur\Move\Timing\Pace;
use Larkspur\Rig\ModeTune;

/** Locked off: parked in the air, nothing moves but what is filmed. */
final readonly class LockedOff extends Played
{
    public function about(): About
    {
        return new About('locked-off', Group::Look, 1, '', ['hover'], faults: ['drift', 'leak']);
    }

    protected const MEASURE = ['duration_s', 'pace_mps'];

    public function parameters(): array
    {
        return Parameter::common('duration_s', 'distance_m', 'height_m', 'start_bearing_deg', 'heading_deg', 'tilt_start_deg');
    }

    public function judging(Intent $intent): Judging
    {
        return Judging::onTheSpot('ZZZZ', Framed::Heading, Crossing::Ahead);
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [
            'duration_s' => 14.0,
            'distance_m' => 20.0, 'height_m' => 4.0, 'start_bearing_deg' => 0.0, 'heading_deg' => 0.0,
            'tilt_start_deg' => self::lookingAt($intent, 20.0, 4.0),
        ];
    }

    protected function pace(Intent $intent): Pace
    {
        return new Pace(max(1.0, $intent->number('duration_s') ?? 14.0), 1.0, 0.5, 'duration_s');
    }

    public function wanted(Intent $intent): TakeTarget
    {
        return new TakeTarget(viewing: $intent->number('distance_m'));
    }

    protected function strokes(Intent $intent, Pace $pace): array
    {
        return [];
    }
}
