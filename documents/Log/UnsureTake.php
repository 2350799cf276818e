<?php

declare(strict_types=1);

namespace Documents\Log;

use Documents\Document;
use Documents\Plan\PlanMove;
use Larkspur\Move\Catalogue;

/** A take whose move the log does not tell. */
final readonly class UnsureTake implements Document
{
    /** @param  list<PlanMove>  $candidates */
    public function __construct(
        public int $number,
        public float $fromS,
        public float $toS,
        public array $candidates,
    ) {
    }

    /** @param  array{number: int, from_s: float, to_s: float, candidates: list<string>}  $kept  moves by id */
    public static function of(array $kept): self
    {
        return new self(
            $kept['number'], $kept['from_s'], $kept['to_s'],
            array_map(static fn (string $move): PlanMove => new PlanMove($move, Catalogue::nameOf($move)), $kept['candidates']),
        );
    }
}
