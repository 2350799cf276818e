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
use Larkspur\Move\Timing\Pace;
use Larkspur\Rig\ModeTune;

/** Backward, tilt down: back from the distant view while the lens comes down onto what is near. */
final readonly class ReverseTiltDown extends Played
{
    public function about(): About
    {
        return new About(
            'reverse-tilt-down', Group::Reveal, 3, 'run- (climb+) > tilt-', ['reverse-tilt-up'],
            faults: ['flick-stop', 'too-quick', 'leak'], family: 'reverse-tilt-down', caution: true,
        );
    }

    public function parameters(): array
    {
        return Parameter::common(
            'length_m', 'pace_mps', 'tilt_start_deg', 'tilt_end_deg', 'tilt_after_s', 'climb_m', 'distance_m', 'height_m',
            'start_bearing_deg', 'heading_deg', 'ease_s',
        );
    }

    public function judging(Intent $intent): Judging
    {
        return Judging::reveal(abs($intent->number('climb_m') ?? 0.0) > 0.05 ? 'AAZA' : 'AZZA');
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        $usual = [
            'length_m' => 20.0, 'pace_mps' => self::comfortable($mode, Finger::Run, 2.0), 'tilt_after_s' => 1.0, 'climb_m' => 0.0,
            'distance_m' => 4.0, 'height_m' => 22.0, 'start_bearing_deg' => 0.0, 'heading_deg' => 0.0,
            'tilt_start_deg' => self::horizonOnThird($intent),
        ];

        // It ends on the subject, wherever its own way has brought it by then.
        return [...$usual, 'tilt_end_deg' => self::lookingInTheEnd($intent, $usual, 1)];
    }

    protected function strokes(Intent $intent, Pace $pace): array
    {
        return array_filter([
            'run' => [$pace->stroke->of(-$pace->length)],
            'climb' => abs($intent->number('climb_m') ?? 0.0) > 0.05 ? [$pace->stroke->of($intent->number('climb_m') ?? 0.0)] : [],
            'tilt' => [self::tilted($intent, $pace)],
        ]);
    }
}
