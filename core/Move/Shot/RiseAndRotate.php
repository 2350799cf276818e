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

/** Rise and rotate: straight up with a slow turn, one thumb off its upright. */
final readonly class RiseAndRotate extends Played
{
    public function about(): About
    {
        return new About(
            'rise-and-rotate', 'Rise and rotate', Group::Reveal, 2, 'climb+ > turn±', ['rise', 'pan'],
            does: 'From a detail to where we are: the place unrolls as the craft lifts.',
            clean: 'The turn small and even beside the climb; their ratio never changes.',
            faults: [
                'uneven' => 'Lean the thumb off its upright once, and leave it there.',
                'kick' => 'Feed the turn in after the climb, from a moving thumb.',
                'drift' => 'Over one spot: the right thumb rests.',
            ], family: 'rise-and-rotate',
        );
    }

    protected const MEASURE = ['climb_m', 'climb_mps'];

    public function parameters(): array
    {
        return Parameter::common('climb_m+', 'climb_mps', 'turn_deg', 'distance_m', 'height_m', 'start_bearing_deg', 'heading_deg', 'tilt_start_deg', 'ease_s');
    }

    public function judging(Intent $intent): Judging
    {
        return Judging::upright('ZAAZ');
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [
            'climb_m' => 12.0, 'climb_mps' => self::comfortable($mode, Finger::Climb, 1.0), 'turn_deg' => 60.0,
            'distance_m' => 14.0, 'height_m' => 2.5, 'start_bearing_deg' => 0.0, 'heading_deg' => 0.0, 'tilt_start_deg' => -10.0,
        ];
    }

    protected function strokes(Intent $intent, Pace $pace): array
    {
        return ['climb' => [$pace->stroke->of($pace->length)], 'turn' => [self::turned($intent, $pace)]];
    }
}
