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

/** Climbing orbit with the wheel: round and up while the lens moves the subject to another place in the frame. */
final readonly class ClimbingOrbitWithTilt extends Round
{
    public function about(): About
    {
        return new About(
            'climbing-orbit-with-tilt', 'Climbing orbit with the wheel', Group::Around, 5, 'slide± climb* > turn∓ (tilt*)', ['climbing-orbit', 'reveal-orbit'],
            does: 'Everything at once: round, up, and the subject wandering to its last place in the frame.',
            clean: 'No axis late; the subject travels through the frame as planned.',
            faults: [
                'off-mark' => 'Know its last place before the first frame.',
                'out-of-step' => 'Four rates, one ending.',
                'uneven' => 'Find the travel, then freeze the thumb against your own grip.',
            ], family: 'climbing-orbit',
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
