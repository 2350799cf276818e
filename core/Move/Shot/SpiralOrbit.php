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

/** Spiral: round a subject on a radius that widens or tightens, level or climbing. */
final readonly class SpiralOrbit extends Round
{
    public function about(): About
    {
        return new About(
            'spiral-orbit', Group::Around, 4, 'slide± (run*) (climb*) > turn∓ (tilt*)', ['climbing-orbit'],
            faults: ['off-mark', 'drift', 'uneven'], family: 'orbit',
        );
    }

    public function parameters(): array
    {
        return Parameter::common(...self::DIALS, ...['radius_end_m', 'climb_m']);
    }

    public function judging(Intent $intent): Judging
    {
        return Judging::spiral(abs($intent->number('climb_m') ?? 0.0) > 0.05 ? 'AACC' : 'AZCC');
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [...parent::usual($intent, $mode), 'radius_end_m' => 1.5 * ($intent->number('radius_m') ?? 25.0), 'climb_m' => 0.0];
    }
}
