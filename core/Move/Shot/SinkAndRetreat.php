<?php

declare(strict_types=1);

namespace Larkspur\Move\Shot;

use Larkspur\Move\About;
use Larkspur\Move\Crossing;
use Larkspur\Move\Group;
use Larkspur\Move\Intent;
use Larkspur\Move\Judging;
use Larkspur\Move\Pace;
use Larkspur\Move\Parameter;
use Larkspur\Move\Played;
use Larkspur\Rig\Finger;
use Larkspur\Rig\ModeTune;

/** Sink and retreat: both thumbs back, down a slope without turning. */
final readonly class SinkAndRetreat extends Played
{
    public function about(): About
    {
        return new About(
            'sink-and-retreat', 'Sink and retreat', Group::Away, 2, 'climb- run-', ['rise-and-advance', 'straight-back'],
            does: 'The view comes down and back until the foreground closes over it.',
            clean: 'One slope, both thumbs together, and a stop well clear of the ground.',
            faults: [
                'out-of-step' => 'Both thumbs toward you on one breath.',
                'flick-stop' => 'Plan the stop a craft’s height above where it must be.',
                'uneven' => 'Find the travel, then freeze the thumb against your own grip.',
            ], family: 'pull-away',
            caution: 'Walk the line behind the craft before you fly it backward.',
        );
    }

    public function parameters(): array
    {
        return Parameter::common('length_m', 'climb_m-', 'pace_mps', 'distance_m', 'height_m', 'start_bearing_deg', 'heading_deg', 'tilt_start_deg', 'ease_s');
    }

    public function judging(Intent $intent): Judging
    {
        return Judging::straight(Crossing::Ahead, 'AAZZ');
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [
            'length_m' => 24.0, 'climb_m' => -9.0, 'pace_mps' => self::comfortable($mode, Finger::Run, 1.8),
            'distance_m' => 14.0, 'height_m' => 13.0, 'start_bearing_deg' => 0.0, 'heading_deg' => 0.0, 'tilt_start_deg' => -12.0,
        ];
    }

    protected function strokes(Intent $intent, Pace $pace): array
    {
        return ['run' => [$pace->stroke->of(-$pace->length)], 'climb' => [$pace->stroke->of(-abs($intent->number('climb_m') ?? 9.0))]];
    }
}
