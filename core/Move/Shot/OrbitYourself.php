<?php

declare(strict_types=1);

namespace Larkspur\Move\Shot;

use Larkspur\Move\About;
use Larkspur\Move\Group;
use Larkspur\Move\Intent;
use Larkspur\Move\Shape\Round;
use Larkspur\Rig\ModeTune;

/** Orbit round yourself: an orbit about the take-off point, in a wide empty place, at several distances and paces. */
final readonly class OrbitYourself extends Round
{
    public function about(): About
    {
        return new About(
            'orbit-yourself', Group::Around, 3, 'slide± > turn∓', ['coordinated-circle'], faults: ['off-mark', 'uneven', 'drift'],
            family: 'orbit', caution: true,
        );
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [...parent::usual($intent, $mode), 'height_m' => 6.0, 'arc_deg' => 360.0];
    }
}
