<?php

declare(strict_types=1);

namespace Larkspur\Move\Shot;

use Larkspur\Move\About;
use Larkspur\Move\Crossing;
use Larkspur\Move\Group;
use Larkspur\Move\HeldLine;
use Larkspur\Move\Intent;
use Larkspur\Move\Judging;
use Larkspur\Move\Pace;
use Larkspur\Move\Parameter;
use Larkspur\Move\PathKind;
use Larkspur\Rig\Finger;
use Larkspur\Rig\ModeTune;

/**
 * Lift with tilt: straight up beside a subject, the tilt going down against it, so that the subject keeps its place
 * while the world moves. The climb leads; nothing moves over the ground.
 */
final readonly class LiftAndTilt extends HeldLine
{
    public function about(): About
    {
        return new About(
            'lift-and-tilt', 'Lift with tilt', Group::Upright, 2, 'climb+ > tilt-', ['rise', 'tilt'],
            does: 'The subject keeps its place while the world sinks away behind it.',
            clean: 'The subject nailed to its spot; nothing moves over the ground.',
            faults: [
                'off-mark' => 'Fix one point of the subject on one point of the screen and hold it there.',
                'flick-start' => 'Climb first, then let the finger follow.',
                'leak' => 'The right thumb rests.',
            ], family: 'lift-and-tilt',
        );
    }

    protected const MEASURE = ['climb_m', 'climb_mps'];

    public function parameters(): array
    {
        return Parameter::common('climb_m+', 'climb_mps', ...self::DIALS);
    }

    public function judging(Intent $intent): Judging
    {
        return Judging::held(PathKind::Vertical, 'ZAZC', Crossing::Upright, $intent);
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [
            'climb_m' => 12.0, 'climb_mps' => self::comfortable($mode, Finger::Climb, 1.2, 0.45), 'distance_m' => 20.0, 'height_m' => 4.0, 'start_bearing_deg' => 0.0,
        ];
    }

    protected function slope(Intent $intent, Pace $pace): array
    {
        return [0.0, 1.0];
    }
}
