<?php

declare(strict_types=1);

namespace Documents\Day;

use Documents\Document;
use Larkspur\Fact;

/** What to take care of, whom to ask, and which shots it is about. */
final readonly class Caution implements Document
{
    /**
     * @param  list<string>  $shots  titles
     * @param  string  $dated  day of which it is, as YYYY-MM-DD
     */
    public function __construct(
        public string $id,
        public Fact $text,
        public Fact $ask,
        public array $shots,
        public string $dated,
    ) {
    }

    /** @param  array{id: string, text: Fact, ask: Fact, shots: list<string>}  $caution  of core/FlightDay/Cautions */
    public static function of(array $caution, string $dated): self
    {
        return new self($caution['id'], $caution['text'], $caution['ask'], $caution['shots'], $dated);
    }
}
