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

/** Reveal orbit, reversed: round a subject and in on it while the lens comes down, so that it takes the picture. */
final readonly class RevealOrbitReversed extends Round
{
    public function about(): About
    {
        return new About(
            'reveal-orbit-reversed', Group::Around, 5, 'run+ slide± (climb-) > turn∓ tilt-', ['reveal-orbit'],
            faults: ['off-mark', 'flick-stop', 'drift'], family: 'orbit',
        );
    }

    public function parameters(): array
    {
        return Parameter::common(...self::DIALS, ...['radius_end_m', 'first_y', 'last_y', 'climb_m']);
    }

    public function judging(Intent $intent): Judging
    {
        return Judging::spiral(abs($intent->number('climb_m') ?? 0.0) > 0.05 ? 'AACC' : 'AZCC');
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        $usual = parent::usual($intent, $mode);

        // Nearer at the end, the same pace turns the picture faster.
        return [
            ...$usual, 'pace_mps' => is_float($usual['pace_mps']) ? round(0.8 * $usual['pace_mps'], 1) : $usual['pace_mps'],
            'arc_deg' => 90.0, 'height_m' => max(4.0, round(0.6 * ($intent->number('radius_m') ?? 25.0), 1)),
            'radius_end_m' => 0.75 * ($intent->number('radius_m') ?? 25.0), 'first_y' => 0.72, 'last_y' => 0.5, 'climb_m' => 0.0,
        ];
    }
}
