<?php

declare(strict_types=1);

namespace Larkspur\Move\Timing;

use Larkspur\Camera\Lens;

/** By how much rotation is planned to follow translation: the craft moves off first, then the picture turns. */
final class RotationLead
{
    /** Longest that the trade lets it wait, s (common practice, no published source). */
    private const LONGEST = 0.4;

    /** Share of the frame's width by which the subject may move while the rotation catches up: kept under 1 %. */
    private const STRAY = 0.008;

    /**
     * Seconds of lead for a rotation that reaches $rate (rad/s). With Pace::behind the subject strays by at most rate
     * times lead times S (1 - S), whose greatest value is a quarter.
     */
    public static function seconds(float $rate, Lens $lens): float
    {
        return min(self::LONGEST, 4 * self::STRAY * 2 * $lens->halfWidth / max(1e-6, abs($rate)));
    }
}
