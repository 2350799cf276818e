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
use Larkspur\Move\Stance;
use Larkspur\Rig\Finger;
use Larkspur\Rig\ModeTune;

/** Rise, slide and look: up and sideways while the craft turns the same way; its exact reverse goes down. */
final readonly class RiseSlideTurn extends Played
{
    public function about(): About
    {
        return new About(
            'rise-slide-turn', 'Rise, slide and look', Group::Reveal, 4, 'climb* slide± > turn=', ['rise-and-rotate', 'lateral-dolly'],
            does: 'From the foot of the stairs round and up to the floor above.',
            clean: 'The thumb keeps its forty-five degrees; climb, slide and turn end as one.',
            faults: [
                'out-of-step' => 'Three rates, one breath in and one breath out.',
                'uneven' => 'Find the travel, then freeze the thumb against your own grip.',
                'leak' => 'Look along the axis you fly: a thumb off twelve o’clock drags the other axis with it.',
            ], family: 'climbing-orbit',
            caution: 'Indoors: guards on, slow mode, one or two metres of room.',
        );
    }

    public function parameters(): array
    {
        return Parameter::common('length_m', 'side', 'climb_m', 'pace_mps', 'turn_deg', 'distance_m', 'height_m', 'start_bearing_deg', 'heading_deg', 'tilt_start_deg', 'ease_s');
    }

    public function judging(Intent $intent): Judging
    {
        return Judging::bent('AAAZ');
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [
            'length_m' => 10.0, 'side' => 'left', 'climb_m' => 4.0, 'pace_mps' => self::comfortable($mode, Finger::Slide, 0.8), 'turn_deg' => 60.0,
            'distance_m' => 5.0, 'height_m' => 1.6, 'start_bearing_deg' => 0.0, 'heading_deg' => 0.0, 'tilt_start_deg' => 0.0,
        ];
    }

    protected function strokes(Intent $intent, Pace $pace): array
    {
        return [
            'climb' => [$pace->stroke->of($intent->number('climb_m') ?? 4.0)],
            'slide' => [$pace->stroke->of(Stance::way($intent) * $pace->length)],
            'turn' => [self::turned($intent, $pace, Stance::way($intent))],
        ];
    }
}
