<?php

declare(strict_types=1);

namespace Larkspur\Move\Shot;

use Larkspur\Controls\Finger;
use Larkspur\Move\About;
use Larkspur\Move\Group;
use Larkspur\Move\Intent;
use Larkspur\Move\Judging\Crossing;
use Larkspur\Move\Judging\Judging;
use Larkspur\Move\Parameter;
use Larkspur\Move\Shape\Played;
use Larkspur\Move\Timing\Pace;
use Larkspur\Rig\ModeTune;

/** Push-in: straight ahead at an even pace, from wide to near. Without something close to the lens it hardly shows. */
final readonly class PushIn extends Played
{
    public function about(): About
    {
        return new About(
            'push-in', Group::Toward, 1, 'run+', ['slowest-line', 'pure-axis'], faults: ['leak', 'uneven', 'flick-stop'], family: 'push-in',
            withTilt: 'ground-to-horizon',
        );
    }

    public function parameters(): array
    {
        return Parameter::common(
            'length_m', 'pace_mps', 'distance_m', 'height_m', 'start_bearing_deg', 'heading_deg', 'tilt_start_deg', 'ease_s',
        );
    }

    public function judging(Intent $intent): Judging
    {
        return Judging::straight(Crossing::Ahead);
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [
            'length_m' => 20.0, 'pace_mps' => self::comfortable($mode, Finger::Run, 2.0),
            'distance_m' => 34.0, 'height_m' => 3.0, 'start_bearing_deg' => 0.0, 'heading_deg' => 0.0,
            'tilt_start_deg' => self::lookingAt($intent, 34.0, 3.0),
        ];
    }

    protected function strokes(Intent $intent, Pace $pace): array
    {
        return ['run' => [$pace->stroke]];
    }
}
