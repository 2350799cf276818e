<?php

declare(strict_types=1);

namespace Larkspur\FlightDay;

use Larkspur\Fact;

/** One thing that has to be seen to before a day counts as ready. */
final readonly class Gate
{
    /**
     * @param  string  $item  of the field log, by which it is passed
     * @param  bool  $binds  whether the day is not ready without it; else it warns
     * @param  ?array{on: bool, by: string, made: float, note: string}  $passed  who passed it, and when, s since 1970
     * @param  list<string>  $shots  titles of the shots that ask for it; empty where the whole day does
     */
    public function __construct(
        public string $id, public string $item, public Fact $text, public bool $binds, public ?array $passed, public array $shots = [],
    ) {
    }
}
