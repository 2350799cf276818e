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

/** Through the gap: straight ahead through the middle of an opening, with nothing but the run. */
final readonly class Gap extends Played
{
    public function about(): About
    {
        return new About(
            'gap', 'Through the gap', Group::Toward, 4, 'run+', ['push-in', 'close-to-object'],
            does: 'The edges of the opening rush past and the place beyond opens.',
            clean: 'Through the middle, with no correction on the way.',
            faults: [
                'sway-off-centre' => 'Line up far out; if you must steer in the gap, fly past and come again.',
                'leak' => 'Look along the axis you fly: a thumb off twelve o’clock drags the other axis with it.',
                'uneven' => 'Do not brake in the opening: one pace from far out to well beyond.',
            ], family: 'push-in',
            caution: 'Never without a margin on both sides; sensing set as you have practised it, and nobody beyond.',
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
            'length_m' => 30.0, 'pace_mps' => self::comfortable($mode, Finger::Run, 1.6), 'gap_m' => 5.0, 'height_m' => max(1.0, round(self::above($intent), 1)), 'heading_deg' => 0.0, 'tilt_start_deg' => 0.0,
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
