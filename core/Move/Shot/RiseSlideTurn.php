<?php

declare(strict_types=1);

namespace Larkspur\Move\Shot;

use Larkspur\Controls\Finger;
use Larkspur\Move\About;
use Larkspur\Move\Group;
use Larkspur\Move\Intent;
use Larkspur\Move\Judging\Judging;
use Larkspur\Move\Parameter;
use Larkspur\Move\Shape\Played;
use Larkspur\Move\Shape\Stance;
use Larkspur\Move\Timing\Pace;
use Larkspur\Rig\ModeTune;

/** Rise, slide and look: up and sideways while the craft turns the same way; its exact reverse goes down. */
final readonly class RiseSlideTurn extends Played
{
    public function about(): About
    {
        return new About(
            'rise-slide-turn', Group::Reveal, 4, 'climb* slide± > turn=', ['rise-and-rotate', 'lateral-dolly'],
            faults: ['out-of-step', 'uneven', 'leak'], family: 'climbing-orbit', caution: true,
        );
    }

    public function parameters(): array
    {
        return Parameter::common(
            'length_m', 'side', 'climb_m', 'pace_mps', 'turn_deg', 'distance_m', 'height_m', 'start_bearing_deg', 'heading_deg',
            'tilt_start_deg', 'ease_s',
        );
    }

    public function judging(Intent $intent): Judging
    {
        return Judging::bent('AAAZ');
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [
            'length_m' => 10.0, 'side' => 'left', 'climb_m' => 4.0, 'pace_mps' => self::comfortable($mode, Finger::Slide, 0.8),
            'turn_deg' => 60.0,
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
