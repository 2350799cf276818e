<?php

declare(strict_types=1);

namespace Larkspur\Move\Shot;

use Larkspur\Move\About;
use Larkspur\Move\Group;
use Larkspur\Move\Intent;
use Larkspur\Move\Shape\Round;
use Larkspur\Rig\ModeTune;

/** Slide with pan: part of an arc past the subject, the turn against the slide, so that it stays in its place. */
final readonly class SlideWithPan extends Round
{
    public function about(): About
    {
        return new About(
            'slide-with-pan', Group::Across, 3, 'slide± > turn∓', ['lateral-dolly', 'pan'], faults: ['off-mark', 'uneven', 'drift'],
            family: 'orbit',
        );
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [...parent::usual($intent, $mode), 'radius_m' => $intent->number('radius_m') ?? 20.0, 'arc_deg' => 70.0, 'height_m' => 4.0];
    }
}
