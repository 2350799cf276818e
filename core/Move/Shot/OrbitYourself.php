<?php

declare(strict_types=1);

namespace Larkspur\Move\Shot;

use Larkspur\Move\About;
use Larkspur\Move\Group;
use Larkspur\Move\Intent;
use Larkspur\Move\Round;
use Larkspur\Rig\ModeTune;

/** Orbit round yourself: an orbit about the take-off point, in a wide empty place, at several distances and paces. */
final readonly class OrbitYourself extends Round
{
    public function about(): About
    {
        return new About(
            'orbit-yourself', 'Orbit round yourself', Group::Around, 3, 'slide± > turn∓', ['coordinated-circle'],
            does: 'You stand in the middle and the craft goes round you, its lens on you.',
            clean: 'One distance, several of them, both ways: the thumbs learn it without the eyes.',
            faults: [
                'off-mark' => 'It slides out: the turn is wrong. Mend it on the left thumb only.',
                'uneven' => 'Slide held, turn held: then nothing moves for ten seconds.',
                'drift' => 'A touch of run toward the subject on the upwind side holds the circle.',
            ], family: 'orbit',
            caution: 'A wide empty place, and never nearer to anyone than your rules allow.',
        );
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [...parent::usual($intent, $mode), 'height_m' => 6.0, 'arc_deg' => 360.0];
    }
}
