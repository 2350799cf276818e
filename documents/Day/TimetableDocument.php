<?php

declare(strict_types=1);

namespace Documents\Day;

use Documents\Document;
use Larkspur\Fact;
use Larkspur\FlightDay\Timetable;

/** The order in which the shots of a day are flown. */
final readonly class TimetableDocument implements Document
{
    /**
     * @param  list<Slot>  $slots
     * @param  list<LeftShot>  $left
     */
    public function __construct(
        public array $slots,
        public array $left,
        public int $batteriesUsed,
        public string $ends,
        public float $airMin,
        public float $usableMin,
    ) {
    }

    /** @param  ?callable(int, float): ?Fact  $light  what is said of the light on a shot, by its id, at an hour, s since 1970 */
    public static function of(Timetable $table, ?callable $light = null): self
    {
        return new self(
            array_map(
                static fn (array $slot): Slot => Slot::of($slot, $light === null ? null : $light($slot['shot']->id, $slot['from'])),
                $table->slots,
            ), array_map(LeftShot::of(...), $table->left), $table->batteries(),
            Timetable::written($table->ends()), round($table->air() / 60, 1), round($table->usable / 60, 1),
        );
    }
}
