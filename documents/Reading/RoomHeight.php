<?php

declare(strict_types=1);

namespace Documents\Reading;

use Documents\Document;

/** Heights that are flown, above ground and above take-off, and how high one may. */
final readonly class RoomHeight implements Document
{
    public function __construct(
        public float $leastM,
        public float $mostM,
        public float $aboveLaunchM,
        public float $ceilingM,
    ) {
    }

    /** @param  array{least: float, most: float, launch: float, ceiling: float}  $height */
    public static function of(array $height): self
    {
        return new self(round($height['least'], 1), round($height['most'], 1), round($height['launch'], 1), $height['ceiling']);
    }
}
