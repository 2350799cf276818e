<?php

declare(strict_types=1);

namespace Larkspur\Move\Shot;

use Larkspur\Move\About;
use Larkspur\Move\Group;
use Larkspur\Move\Intent;
use Larkspur\Move\Round;
use Larkspur\Rig\ModeTune;

/** Orbit finish: a short arc with a long ease, to drill the end where slide and turn must die away together. */
final readonly class OrbitFinish extends Round
{
    public function about(): About
    {
        return new About(
            'orbit-finish', 'Orbit finish', Group::Around, 4, 'slide± > turn∓', ['orbit'],
            does: 'The last seconds of an orbit, flown alone.',
            clean: 'Slide and turn die away together; the subject does not move in the final second.',
            faults: [
                'flick-stop' => 'Four seconds from full to nothing. Count them.',
                'out-of-step' => 'Think of one knob that fades both.',
                'off-mark' => 'If it slides at the very end, the turn left later than the slide.',
            ], family: 'orbit',
        );
    }

    protected function usual(Intent $intent, ModeTune $mode): array
    {
        return [...parent::usual($intent, $mode), 'arc_deg' => 60.0];
    }
}
