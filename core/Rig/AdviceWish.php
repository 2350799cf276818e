<?php

declare(strict_types=1);

namespace Larkspur\Rig;

/** What good settings are for somebody: the house, the comfortable stretch of the stick, the finest dependable nudge, and what is seen. */
final readonly class AdviceWish
{
    /** A change of less than this is not seen, picture widths a second (our judgement; no published source). */
    public const SEEN = 0.01;

    /**
     * @param  float  $nudge  finest dependable nudge, travel
     * @param  float  $least  of the travel, where a finger holds well
     * @param  float  $seen  picture widths a second
     */
    public function __construct(
        public House $house, public float $nudge, public float $least, public float $most, public float $seen = self::SEEN,
    ) {
    }
}
