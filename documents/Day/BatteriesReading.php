<?php

declare(strict_types=1);

namespace Documents\Day;

use Documents\Document;
use Larkspur\FlightDay\Batteries;

/** The batteries of a day, and what the cold leaves of them. */
final readonly class BatteriesReading implements Document
{
    public function __construct(
        public int $count,
        public float $minutes,
        public float $reserve,
        public float $temperatureC,
        public float $usableMin,
        public float $coldShare,
        public int $passesEach,
        public int $passesAsked,
    ) {
    }

    /** @param  int  $passesEach  passes of the day's shots that a full one carries, about; 0 where none is asked */
    public static function of(Batteries $batteries, int $passesEach = 0, int $passesAsked = 0): self
    {
        return new self(
            $batteries->count, $batteries->minutes, $batteries->reserve, $batteries->temperature, round($batteries->usable() / 60, 2),
            round($batteries->warmth(), 3), $passesEach, $passesAsked,
        );
    }
}
