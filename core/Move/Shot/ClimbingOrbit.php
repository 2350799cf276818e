<?php

declare(strict_types=1);

namespace Larkspur\Move\Shot;

use Larkspur\Move\About;
use Larkspur\Move\Group;
use Larkspur\Move\Intent;
use Larkspur\Move\Judging\Judging;
use Larkspur\Move\Parameter;
use Larkspur\Move\Shape\Round;
use Larkspur\Rig\ModeTune;

/** Climbing orbit: round a subject while the craft climbs or, with a climb below zero, sinks; the tilt follows. */
final readonly class ClimbingOrbit extends Round
{
    public function about(): About
    {
        return new About(
            'climbing-orbit', Group::Around, 4, 'slide± climb* > turn∓ (tilt*)', ['orbit', 'rise-and-rotate'],
            faults: ['off-mark', 'uneven', 'drift'], family: 'climbing-orbit', withTilt: 'climbing-orbit-with-tilt',
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
