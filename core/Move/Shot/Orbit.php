<?php

declare(strict_types=1);

namespace Larkspur\Move\Shot;

use Larkspur\Move\About;
use Larkspur\Move\Group;
use Larkspur\Move\Shape\Round;

/**
 * Orbit: round a subject at one distance and height, the subject held at its place in the frame. The slide leads and
 * sets the pace; at the end both die away together.
 */
final readonly class Orbit extends Round
{
    public function about(): About
    {
        return new About(
            'orbit', Group::Around, 3, 'slide± > turn∓', ['slide-with-pan', 'coordinated-circle'], faults: ['off-mark', 'uneven', 'drift'],
            family: 'orbit', withTilt: 'climbing-orbit-with-tilt',
        );
    }
}
