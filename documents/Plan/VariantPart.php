<?php

declare(strict_types=1);

namespace Documents\Plan;

use Documents\Document;
use Documents\Map;

/** One move of a variant that joins several. */
final readonly class VariantPart implements Document
{
    /** @param  Map<float|string>  $parameters */
    public function __construct(public string $move, public Map $parameters)
    {
    }

    /** @param  array{move: string, parameters: array<string, float|string>}  $part */
    public static function of(array $part): self
    {
        return new self($part['move'], new Map($part['parameters']));
    }
}
