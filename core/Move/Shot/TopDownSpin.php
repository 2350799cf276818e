<?php

declare(strict_types=1);

namespace Larkspur\Move\Shot;

use Larkspur\Measure\Angle;
use Larkspur\Move\About;
use Larkspur\Move\Group;
use Larkspur\Move\Intent;
use Larkspur\Move\Judging;
use Larkspur\Move\Pace;
use Larkspur\Move\Parameter;
use Larkspur\Move\PathKind;
use Larkspur\Move\Played;
use Larkspur\Move\Wanted;
use Larkspur\Rig\Finger;
use Larkspur\Rig\ModeTune;

/** Top-down spin: straight over the subject, turning about it. */
final readonly class TopDownSpin extends Played
{
    public function about(): About
    {
        return new About(
            'top-down-spin', 'Top-down spin', Group::Above, 2, 'turn±', ['straight-down'],
            does: 'The world turns about the subject like a record.',
            clean: 'The subject stays on the centre of the turn; the rate never changes.',
            faults: [
                'off-mark' => 'Centre the craft over the subject before you start; once it spins it is too late.',
                'uneven' => 'Find the travel, then freeze the thumb against your own grip.',
                'leak' => 'A turning thumb that climbs changes the size of everything.',
            ], family: 'top-down-spin',
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
    public function wanted(Intent $intent): Wanted
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
