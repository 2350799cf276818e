<?php

declare(strict_types=1);

namespace Documents\Day;

use Documents\Document;
use Larkspur\Fact;
use Larkspur\FlightDay\Gates;

/** What has to be seen to before a day counts as ready, and what the weather as it was planned with says of flying. */
final readonly class GatesDocument implements Document
{
    /**
     * @param  bool  $ready  whether nothing that binds is open
     * @param  list<GateDocument>  $gates
     * @param  'go'|'wait'|'scrap'  $advised
     * @param  list<Fact>  $reasons  what speaks against flying
     */
    public function __construct(public bool $ready, public array $gates, public string $advised, public array $reasons)
    {
    }

    public static function of(Gates $gates): self
    {
        return new self($gates->isReady(), array_map(GateDocument::of(...), $gates->gates), $gates->advised, $gates->reasons);
    }
}
