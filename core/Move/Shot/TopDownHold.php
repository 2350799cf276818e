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

/** Top-down, held: straight down and at rest. Dull unless something moves in the frame. */
final readonly class TopDownHold extends Played
{
    public function about(): About
    {
        return new About('top-down-hold', Group::Above, 1, '', ['hover'], faults: ['drift', 'leak']);
    }

    protected const MEASURE = ['duration_s', 'pace_mps'];

    public function parameters(): array
    {
        // It may stand right above its subject.
        return array_map(
            static fn (Parameter $parameter): Parameter => $parameter->id === 'distance_m' ? $parameter->between(
                0.0, $parameter->most, [0.0, 40.0],
            ) : $parameter,
            Parameter::common('duration_s', 'distance_m', 'height_m', 'start_bearing_deg', 'heading_deg', 'tilt_start_deg'),
        );
    }

    public function judging(Intent $intent): Judging
    {
        return Judging::onTheSpot('ZZZZ', Framed::Heading, Crossing::Ahead, true);
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [
            'duration_s' => 14.0,
            'distance_m' => 0.0, 'height_m' => 40.0, 'start_bearing_deg' => 0.0, 'heading_deg' => 0.0, 'tilt_start_deg' => -90.0,
        ];
    }

    protected function pace(Intent $intent): Pace
    {
        return new Pace(max(1.0, $intent->number('duration_s') ?? 14.0), 1.0, 0.5, 'duration_s');
    }

    public function wanted(Intent $intent): TakeTarget
    {
        return new TakeTarget(viewing: $intent->number('height_m'));
    }

    protected function strokes(Intent $intent, Pace $pace): array
    {
        return [];
    }
}
