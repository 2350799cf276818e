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

/**
 * Reveal orbit: round a subject and a little away from it while the lens lifts, so that the background comes in above
 * it.
 */
final readonly class RevealOrbit extends Round
{
    public function about(): About
    {
        return new About(
            'reveal-orbit', Group::Reveal, 5, 'run- slide± > turn∓ tilt+', ['orbit', 'reverse-tilt-up'],
            faults: ['flick-stop', 'off-mark', 'out-of-step'], family: 'orbit',
        );
    }

    public function parameters(): array
    {
        return Parameter::common(...self::DIALS, ...['radius_end_m', 'first_y', 'last_y']);
    }

    public function judging(Intent $intent): Judging
    {
        return Judging::spiral('AZCC');
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [
            ...parent::usual($intent, $mode), 'arc_deg' => 90.0,
            'height_m' => max(4.0, round(0.8 * ($intent->number('radius_m') ?? 25.0), 1)),
            'radius_end_m' => 1.2 * ($intent->number('radius_m') ?? 25.0), 'first_y' => 0.5, 'last_y' => 0.72,
        ];
    }
}
