<?php

declare(strict_types=1);

namespace Larkspur\Move;

/** What a take was meant to be, as far as it is measured against: angles in degrees, lengths in metres; null where open. */
final readonly class Wanted
{
    /**
     * @param  float  $aimU  wanted place, fraction of the width right of the centre
     * @param  float  $aimV  fraction of the height above it
     * @param  float  $lead  by which rotation was planned to follow translation, s
     * @param  ?float  $extent  degrees of arc, or metres of way or of climb
     */
    public function __construct(
        public float $aimU = 0.0,
        public float $aimV = 0.0,
        public float $lead = 0.0,
        public ?float $extent = null,
        public ?float $tiltStart = null,
        public ?float $tiltEnd = null,
    ) {
    }
}
