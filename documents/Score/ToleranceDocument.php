<?php

declare(strict_types=1);

namespace Documents\Score;

use Documents\Document;
use Larkspur\Scoring\AsPlanned\Tolerances;

/** By how much a take may differ from its plan and still be as planned: percent of the quantity, or degrees. */
final readonly class ToleranceDocument implements Document
{
    public function __construct(
        public float $placePercent,
        public float $lengthPercent,
        public float $arcPercent,
        public float $headingDeg,
        public float $courseDeg,
        public float $acrossDeg,
        public float $tiltDeg,
        public float $pacePercent,
        public float $framePercent,
    ) {
    }

    public static function of(Tolerances $tolerances): self
    {
        return new self(...array_values($tolerances->toArray()));
    }
}
