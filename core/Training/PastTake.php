<?php

declare(strict_types=1);

namespace Larkspur\Training;

/** What the record keeps of one take, as far as practice is planned from it. */
final readonly class PastTake
{
    /**
     * @param  float  $day  when it was flown, days on any common clock
     * @param  string  $direction  clockwise, counterclockwise, or empty
     * @param  array<string, ?float>  $facets  ease, flow, hold, line, frame: 0 to 100
     */
    public function __construct(
        public float $day,
        public string $move,
        public string $direction,
        public float $score,
        public string $verdict,
        public array $facets,
    ) {
    }
}
