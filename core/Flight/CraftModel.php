<?php

declare(strict_types=1);

namespace Larkspur\Flight;

/** How a simulated craft answers: what a centred stick means, and what the right stick asks for. */
enum CraftModel: string
{
    /** Holds its place over the ground by itself: sticks ask for speeds, centred ones for none. */
    case Positioning = 'positioning';

    /** Keeps level and its height, but not its place: it coasts, and the air takes it along. */
    case Free = 'free';

    /** A small ducted craft that levels itself: the right stick asks for a lean, the throttle for thrust. */
    case Levelling = 'levelling';

    /** The same without levelling: the right stick asks for a rate of lean, which stays when it is let go. */
    case Rates = 'rates';

    public function isDucted(): bool
    {
        return $this === self::Levelling || $this === self::Rates;
    }
}
