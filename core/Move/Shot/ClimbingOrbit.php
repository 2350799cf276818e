<?php

declare(strict_types=1);

namespace Larkspur\Move\Shot;

use Larkspur\Move\About;
use Larkspur\Move\Group;
use Larkspur\Move\Intent;
use Larkspur\Move\Judging;
use Larkspur\Move\Parameter;
use Larkspur\Move\Round;
use Larkspur\Rig\ModeTune;

/** Climbing orbit: round a subject while the craft climbs or, with a climb below zero, sinks; the tilt follows. */
final readonly class ClimbingOrbit extends Round
{
    public function about(): About
    {
        return new About(
            'climbing-orbit', 'Climbing orbit', Group::Around, 4, 'slide± climb* > turn∓ (tilt*)', ['orbit', 'rise-and-rotate'],
            does: 'Round and up: the subject stands while its country unrolls.',
            clean: 'Distance and climb both even; the subject keeps its place.',
            faults: [
                'off-mark' => 'As it climbs the wheel must follow: a breath at a time.',
                'uneven' => 'Find the travel, then freeze the thumb against your own grip.',
                'drift' => 'Climb with the thumb that turns, not with the one that slides.',
            ], family: 'climbing-orbit',
        );
    }

    public function parameters(): array
    {
        return Parameter::common(...self::DIALS, ...['climb_m']);
    }

    public function judging(Intent $intent): Judging
    {
        return Judging::spiral('AAAC');
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [...parent::usual($intent, $mode), 'climb_m' => 10.0];
    }
}
