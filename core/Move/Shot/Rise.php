<?php

declare(strict_types=1);

namespace Larkspur\Move\Shot;

use Larkspur\Move\About;
use Larkspur\Move\Group;
use Larkspur\Move\Intent;
use Larkspur\Move\Judging;
use Larkspur\Move\Pace;
use Larkspur\Move\Parameter;
use Larkspur\Move\Played;
use Larkspur\Rig\Finger;
use Larkspur\Rig\ModeTune;

/** Rise: straight up, nothing else. */
final readonly class Rise extends Played
{
    public function about(): About
    {
        return new About(
            'rise', 'Rise', Group::Upright, 1, 'climb+', ['pure-axis'],
            does: 'The picture climbs a face, or comes up from behind something and shows the other side.',
            clean: 'The nose does not turn by a degree, and the craft stays over its spot.',
            faults: [
                'leak' => 'A thumb at eleven climbs and turns. Push straight up.',
                'bobbing' => 'Press once and hold; do not pump.',
                'uneven' => 'Find the travel, then freeze the thumb against your own grip.',
            ], family: 'lift-and-tilt',
        );
    }

    protected const MEASURE = ['climb_m', 'climb_mps'];

    public function parameters(): array
    {
        return Parameter::common('climb_m+', 'climb_mps', 'distance_m', 'height_m', 'start_bearing_deg', 'heading_deg', 'tilt_start_deg', 'ease_s');
    }

    public function judging(Intent $intent): Judging
    {
        return Judging::upright('ZAZZ');
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [
            'climb_m' => 10.0, 'climb_mps' => self::comfortable($mode, Finger::Climb, 1.0),
            'distance_m' => 18.0, 'height_m' => 2.0, 'start_bearing_deg' => 0.0, 'heading_deg' => 0.0, 'tilt_start_deg' => -5.0,
        ];
    }

    protected function strokes(Intent $intent, Pace $pace): array
    {
        return ['climb' => [$pace->stroke->of($pace->length)]];
    }
}
