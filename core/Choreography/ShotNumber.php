<?php

declare(strict_types=1);

namespace Larkspur\Choreography;

use Larkspur\Fact;
use Larkspur\Measure\Quantity;

/** One number of a planned shot that a practitioner would write down. */
final readonly class ShotNumber
{
    /**
     * @param  string  $id  as files and the API have it: "turn_rate_dps"
     * @param  ?float  $at  second of the recording at which it holds; null where it is of the whole shot
     * @param  ?float  $travel  of the finger that brings it, -1 to 1; null where it is no rate of a finger
     */
    public function __construct(public string $id, public Quantity $quantity, public ?float $at = null, public ?float $travel = null)
    {
    }

    public function name(): Fact
    {
        return Fact::of("number.$this->id");
    }
}
