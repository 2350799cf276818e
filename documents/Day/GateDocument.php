<?php

declare(strict_types=1);

namespace Documents\Day;

use Documents\Document;
use Larkspur\Fact;
use Larkspur\FlightDay\Gate;

/** One thing that has to be seen to before a day counts as ready; who passed it, and when, stands in the log under its item. */
final readonly class GateDocument implements Document
{
    /** @param  list<string>  $shots  titles of those that ask for it */
    public function __construct(public string $id, public string $item, public Fact $text, public bool $binds, public array $shots)
    {
    }

    public static function of(Gate $gate): self
    {
        return new self($gate->id, $gate->item, $gate->text, $gate->binds, $gate->shots);
    }
}
