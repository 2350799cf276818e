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

/** Through the gap: straight ahead through the middle of an opening, with nothing but the run. */
final readonly class Gap extends Played
{
    public function about(): About
    {
        return new About(
            'gap', Group::Toward, 4, 'run+', ['push-in', 'close-to-object'], faults: ['sway-off-centre', 'leak', 'uneven'],
            family: 'push-in', caution: true,
        );
    }

    public function parameters(): array
    {
        return Parameter::common('length_m', 'pace_mps', 'gap_m', 'height_m', 'heading_deg', 'tilt_start_deg', 'ease_s');
    }

    public function judging(Intent $intent): Judging
    {
        return Judging::straight(Crossing::Ahead);
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [
            'length_m' => 30.0, 'pace_mps' => self::comfortable($mode, Finger::Run, 1.6), 'gap_m' => 7.5,
            'height_m' => max(1.0, round(self::above($intent), 1)), 'heading_deg' => 0.0, 'tilt_start_deg' => 0.0,
        ];
    }

    protected function strokes(Intent $intent, Pace $pace): array
    {
        return ['run' => [$pace->stroke]];
    }

    protected function pivot(): float
    {
        return 0.5;
    }
}
