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

/** Climbing orbit with the wheel: round and up while the lens moves the subject to another place in the frame. */
final readonly class ClimbingOrbitWithTilt extends Round
{
    public function about(): About
    {
        return new About(
            'climbing-orbit-with-tilt', Group::Around, 5, 'slide± climb* > turn∓ (tilt*)', ['climbing-orbit', 'reveal-orbit'],
            faults: ['off-mark', 'out-of-step', 'uneven'], family: 'climbing-orbit',
        );
    }

    public function parameters(): array
    {
        return Parameter::common(...self::DIALS, ...['climb_m', 'first_y', 'last_y']);
    }

    public function judging(Intent $intent): Judging
    {
        return Judging::spiral('AAAC');
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [...parent::usual($intent, $mode), 'climb_m' => 8.0, 'first_y' => 0.5, 'last_y' => 0.66];
    }
}
