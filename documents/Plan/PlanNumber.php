<?php

declare(strict_types=1);

namespace Documents\Plan;

use Documents\Document;
use Documents\Units;
use Larkspur\Choreography\ShotNumber;
use Larkspur\Fact;

/** A number of a planned shot, as one would write it on a card. */
final readonly class PlanNumber implements Document
{
    /**
     * @param  string  $id  such as turn_rate_dps; the same one stands twice where it changes: at its start, then at its end
     * @param  ?float  $atS  second of the recording at which it holds; null where it is of the whole shot
     * @param  ?float  $travel  of the finger that brings it, -1 to 1
     */
    public function __construct(
        public string $id, public string|Fact $name, public float $value, public string $unit, public ?float $atS, public ?float $travel,
    ) {
    }

    public static function of(ShotNumber $number): self
    {
        return new self(
            $number->id, $number->name(), round(Units::value($number->quantity), 3), Units::name($number->quantity),
            $number->at === null ? null : round($number->at, 2), $number->travel === null ? null : round($number->travel, 3),
        );
    }
}
