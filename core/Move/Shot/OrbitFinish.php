<?php

declare(strict_types=1);

namespace Larkspur\Move\Shot;

use Larkspur\Move\About;
use Larkspur\Move\Group;
use Larkspur\Move\Intent;
use Larkspur\Move\Shape\Round;
use Larkspur\Rig\ModeTune;

/** Orbit finish: a short arc with a long ease, to drill the end where slide and turn must die away together. */
final readonly class OrbitFinish extends Round
{
    public function about(): About
    {
        return new About(
            'orbit-finish', Group::Around, 4, 'slide± > turn∓', ['orbit'], faults: ['flick-stop', 'out-of-step', 'off-mark'],
            family: 'orbit',
        );
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [...parent::usual($intent, $mode), 'arc_deg' => 60.0];
    }
}
