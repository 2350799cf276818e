<?php

declare(strict_types=1);

namespace Documents\Day;

use Documents\Document;
use Larkspur\Fact;
use Larkspur\FlightDay\DayShot;
use Larkspur\FlightDay\Timetable;

/** A shot in the order of a day. */
final readonly class Slot implements Document
{
    /**
     * @param  int  $battery  the first is 1
     * @param  ?Fact  $light  said where what is filmed passes between sun and shade at that hour
     */
    public function __construct(
        public int $shotId,
        public string $title,
        public bool $must,
        public int $passes,
        public int $battery,
        public string $ready,
        public string $from,
        public string $to,
        public float $waitsS,
        public ?Fact $light,
    ) {
    }

    /**
     * @param  array{shot: DayShot, passes: int, battery: int, ready: float, from: float, to: float, waits: float, ...<string, mixed>} $slot
     */
    public static function of(array $slot, ?Fact $light = null): self
    {
        return new self(
            $slot['shot']->id, $slot['shot']->title, $slot['shot']->must, $slot['passes'], $slot['battery'] + 1,
            Timetable::written($slot['ready']), Timetable::written($slot['from']), Timetable::written($slot['to']), round($slot['waits']),
            $light,
        );
    }
}
