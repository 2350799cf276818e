<?php

declare(strict_types=1);

namespace Larkspur\Move\Shot;

use Larkspur\Move\About;
use Larkspur\Move\Group;
use Larkspur\Move\Round;

/**
 * Orbit: round a subject at one distance and height, the subject held at its place in the frame. The slide leads and
 * sets the pace; at the end both die away together.
 */
final readonly class Orbit extends Round
{
    public function about(): About
    {
        return new About(
            'orbit', 'Orbit', Group::Around, 3, 'slide± > turn∓', ['slide-with-pan', 'coordinated-circle'],
            does: 'The background wheels past behind a subject that stands still.',
            clean: 'One distance, one pace, the subject in its place, thumbs at rest for ten seconds.',
            faults: [
                'off-mark' => 'It slides out: the turn is wrong. Mend it on the left thumb only.',
                'uneven' => 'Slide held, turn held: then nothing moves for ten seconds.',
                'drift' => 'A touch of run toward the subject on the upwind side holds the circle.',
            ], family: 'orbit',
        );
    }
}
