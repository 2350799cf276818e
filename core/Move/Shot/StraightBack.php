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

/** Straight back: away from the subject without turning. Easy for the thumbs, hard on what stands behind. */
final readonly class StraightBack extends Played
{
    public function about(): About
    {
        return new About(
            'straight-back', 'Straight back', Group::Away, 1, 'run-', ['slowest-line'],
            does: 'New things keep coming in from behind the lens, and the subject finds its place among them.',
            clean: 'Straight as a rail, even, the heading untouched.',
            faults: [
                'leak' => 'Look along the axis you fly: a thumb off twelve o’clock drags the other axis with it.',
                'kick' => 'You can’t see where you go: be settled before you start, not during.',
                'uneven' => 'Find the travel, then freeze the thumb against your own grip.',
            ], family: 'straight-back',
            caution: 'Walk the line behind the craft before you fly it backward.',
        );
    }

    public function parameters(): array
    {
        return Parameter::common('length_m', 'pace_mps', 'distance_m', 'height_m', 'start_bearing_deg', 'heading_deg', 'tilt_start_deg', 'ease_s');
    }

    public function judging(Intent $intent): Judging
    {
        return Judging::straight(Crossing::Ahead);
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [
            'length_m' => 20.0, 'pace_mps' => self::comfortable($mode, Finger::Run, 1.8),
            'distance_m' => 12.0, 'height_m' => 3.0, 'start_bearing_deg' => 0.0, 'heading_deg' => 0.0, 'tilt_start_deg' => self::lookingAt($intent, 12.0, 3.0),
        ];
    }

    protected function strokes(Intent $intent, Pace $pace): array
    {
        return ['run' => [$pace->stroke->of(-$pace->length)]];
    }
}
