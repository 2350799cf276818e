<?php

declare(strict_types=1);

namespace Documents\Day;

use Documents\Document;
use Larkspur\FlightDay\Batteries;
use Larkspur\FlightDay\Day;

/** The batteries of a day, and what the cold leaves of them. */
final readonly class BatteriesReading implements Document
{
    /**
     * @param  int  $passesEach  passes of the day's shots that a full one carries, about; 0 where none is asked
     * @param  int  $passesCarried  that all of them carry together, about, with what is left in them
     */
    public function __construct(
        public int $count,
        public float $minutes,
        public float $reserve,
        public float $temperatureC,
        public float $usableMin,
        public float $coldShare,
        public int $passesEach,
        public int $passesCarried,
        public int $passesAsked,
    ) {
    }

    /** @param  ?Day  $day  whose shots ask for passes; null where its hours can't be read */
    public static function of(Batteries $batteries, ?Day $day): self
    {
        return new self(
            $batteries->count, $batteries->minutes, $batteries->reserve, $batteries->temperature, round($batteries->usable() / 60, 2),
            round($batteries->warmth(), 3), $day?->passesOfBattery() ?? 0, $day?->passesCarried() ?? 0, $day?->passes() ?? 0,
        );
    }
}
