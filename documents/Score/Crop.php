<?php

declare(strict_types=1);

namespace Documents\Score;

use Documents\Document;
use Larkspur\Camera\RescueCrop;

/** What a crop must take, % of the picture. */
final readonly class Crop implements Document
{
    public function __construct(
        public float $driftPercent,
        public ?float $levelPercent,
        public float $totalPercent,
    ) {
    }

    public static function of(RescueCrop $crop): self
    {
        return new self(
            round(100 * $crop->drift, 1), $crop->level === null ? null : round(100 * $crop->level, 1), round(100 * $crop->total(), 1),
        );
    }
}
