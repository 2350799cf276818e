<?php

declare(strict_types=1);

namespace Larkspur\Move\Shot;

use Larkspur\Controls\Finger;
use Larkspur\Measure\Angle;
use Larkspur\Move\About;
use Larkspur\Move\Group;
use Larkspur\Move\Intent;
use Larkspur\Move\Judging\Judging;
use Larkspur\Move\Parameter;
use Larkspur\Move\Shape\Played;
use Larkspur\Move\Timing\Pace;
use Larkspur\Rig\ModeTune;

/** Over the edge: ahead low over a foreground, then down with the lens onto what lay hidden behind it. */
final readonly class OverTheEdge extends Played
{
    /** The lens looks no farther up at first, degrees: more is a picture of the sky (our judgement). */
    private const UP = 10.0;

    public function about(): About
    {
        return new About(
            'over-the-edge', Group::Reveal, 3, 'run+ > tilt-', ['push-in', 'tilt'], faults: ['too-quick', 'flick-stop', 'off-mark'],
            family: 'over-the-edge', foreground: true,
        );
    }

    public function parameters(): array
    {
        return Parameter::common(
            'length_m', 'pace_mps', 'tilt_start_deg', 'tilt_end_deg', 'tilt_after_s', 'distance_m', 'height_m', 'start_bearing_deg',
            'heading_deg', 'ease_s',
        );
    }

    public function judging(Intent $intent): Judging
    {
        return Judging::reveal('AZZA');
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        // Above what it looks down onto.
        $height = round(max(16.0, self::above($intent) + 13.0), 1);
        $sight = self::lookingAt($intent, 42.0, $height);
        $usual = [
            'length_m' => 30.0, 'pace_mps' => self::comfortable($mode, Finger::Run, 2.0), 'tilt_after_s' => 3.5, 'distance_m' => 42.0,
            'height_m' => $height, 'start_bearing_deg' => 0.0, 'heading_deg' => 0.0,
            // A little up, and as far as it takes to have that below the frame.
            'tilt_start_deg' => min(self::UP, max(4.0, ceil($sight + atan($intent->lens->halfHeight) / Angle::DEGREE + 1.0))),
        ];

        // Down until that stands in the middle.
        return [...$usual, 'tilt_end_deg' => min(-15.0, self::lookingInTheEnd($intent, $usual, -1))];
    }

    protected function strokes(Intent $intent, Pace $pace): array
    {
        return ['run' => [$pace->stroke], 'tilt' => [self::tilted($intent, $pace)]];
    }
}
