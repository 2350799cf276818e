<?php

declare(strict_types=1);

namespace Larkspur\Move\Shot;

use Larkspur\Controls\Finger;
use Larkspur\Measure\Angle;
use Larkspur\Move\About;
use Larkspur\Move\Group;
use Larkspur\Move\Intent;
use Larkspur\Move\Judging\Judging;
use Larkspur\Move\Judging\PathKind;
use Larkspur\Move\Judging\TakeTarget;
use Larkspur\Move\Parameter;
use Larkspur\Move\Shape\Played;
use Larkspur\Move\Timing\Pace;
use Larkspur\Rig\ModeTune;

/** Top-down helix: straight over the subject, climbing or sinking while the craft turns. */
final readonly class TopDownHelix extends Played
{
    public function about(): About
    {
        return new About(
            'top-down-helix', Group::Above, 3, 'climb* turn*', ['top-down-spin'], faults: ['out-of-step', 'uneven', 'off-mark'],
            family: 'top-down-helix',
        );
    }

    protected const MEASURE = ['climb_m', 'climb_mps'];

    public function parameters(): array
    {
        return Parameter::common('climb_m', 'climb_mps', 'spin_dps', 'height_m', 'heading_deg', 'ease_s');
    }

    public function judging(Intent $intent): Judging
    {
        return Judging::topDown(PathKind::Vertical, 'ZAAZ');
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [
            'climb_m' => 16.0, 'climb_mps' => self::comfortable($mode, Finger::Climb, 1.2),
            'spin_dps' => self::comfortable($mode, Finger::Turn, 7.0), 'height_m' => 14.0, 'heading_deg' => 0.0,
        ];
    }

    /** A picture turns about its middle, so that is where the subject stands, whatever the intent says. */
    public function wanted(Intent $intent): TakeTarget
    {
        return parent::wanted($intent)->centred();
    }

    protected function firstTilt(Intent $intent): float
    {
        return -M_PI_2;
    }

    protected function strokes(Intent $intent, Pace $pace): array
    {
        return [
            'climb' => [
                $pace->stroke->of(($intent->number('climb_m') ?? 1.0) <=> 0.0)->of(
                    (($intent->number('climb_m') ?? 1.0) <=> 0.0) * $pace->length,
                ),
            ],
            'turn' => [$pace->stroke->of(($intent->number('spin_dps') ?? 6.0) * Angle::DEGREE * $pace->length / $pace->rate)],
        ];
    }
}
