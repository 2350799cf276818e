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

/** Top-down spin: straight over the subject, turning about it. */
final readonly class TopDownSpin extends Played
{
    public function about(): About
    {
        return new About(
            'top-down-spin', Group::Above, 2, 'turn±', ['straight-down'], faults: ['off-mark', 'uneven', 'leak'], family: 'top-down-spin',
        );
    }

    protected const MEASURE = ['turn_deg', 'spin_dps'];

    public function parameters(): array
    {
        return Parameter::common('turn_deg', 'spin_dps', 'height_m', 'heading_deg', 'ease_s');
    }

    public function judging(Intent $intent): Judging
    {
        return Judging::topDown(PathKind::Spot, 'ZZAZ');
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [
            'turn_deg' => 180.0, 'spin_dps' => self::comfortable($mode, Finger::Turn, 8.0), 'height_m' => 30.0, 'heading_deg' => 0.0,
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
        return ['turn' => [$pace->stroke->of(($intent->number('turn_deg') ?? 180.0) * Angle::DEGREE)]];
    }
}
