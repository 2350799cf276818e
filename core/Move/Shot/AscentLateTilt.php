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

/** Ascent with a late tilt: ahead and up a steep face, the wheel going down only near the top. */
final readonly class AscentLateTilt extends Played
{
    public function about(): About
    {
        return new About(
            'ascent-late-tilt', Group::Reveal, 3, 'climb+ run+ > tilt-', ['rise-and-advance', 'tilt'],
            faults: ['off-mark', 'flick-stop', 'out-of-step'], family: 'push-in-from-high',
        );
    }

    public function parameters(): array
    {
        return Parameter::common(
            'length_m', 'climb_m+', 'pace_mps', 'tilt_start_deg', 'tilt_end_deg', 'tilt_after_s', 'distance_m', 'height_m',
            'start_bearing_deg', 'heading_deg', 'ease_s',
        );
    }

    public function judging(Intent $intent): Judging
    {
        return Judging::reveal('AAZA');
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        $usual = [
            'length_m' => 20.0, 'climb_m' => 22.0,
            'pace_mps' => min(self::comfortable($mode, Finger::Run, 1.4), self::comfortable($mode, Finger::Climb, 1.2)),
            'tilt_after_s' => 7.0, 'distance_m' => 42.0, 'height_m' => 3.0, 'start_bearing_deg' => 0.0, 'heading_deg' => 0.0,
            'tilt_start_deg' => 0.0,
        ];

        // The summit settles on the lower third, what lies beyond it above.
        return [...$usual, 'tilt_end_deg' => min(-10.0, self::lookingInTheEnd($intent, $usual, -1, -1 / 6))];
    }

    protected function strokes(Intent $intent, Pace $pace): array
    {
        return [
            'run' => [$pace->stroke], 'climb' => [$pace->stroke->of($intent->number('climb_m') ?? 20.0)],
            'tilt' => [self::tilted($intent, $pace)],
        ];
    }
}
