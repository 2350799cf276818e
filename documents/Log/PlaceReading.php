<?php

declare(strict_types=1);

namespace Documents\Log;

use Documents\Document;
use Larkspur\Fact;
use Larkspur\Telemetry\Reading;

/** How the places of a log may be meant, and where it then lies from the place of its plan, m; of heights, how far they are off. */
final readonly class PlaceReading implements Document
{
    public function __construct(
        public string $id,
        public Fact $words,
        public float $eastM,
        public float $northM,
        public float $upM,
    ) {
    }

    /** @param  array{id: string, east_m: float, north_m: float, up_m: float}  $kept */
    public static function of(array $kept): self
    {
        return new self($kept['id'], Reading::from($kept['id'])->words(), $kept['east_m'], $kept['north_m'], $kept['up_m']);
    }
}
