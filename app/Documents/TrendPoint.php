<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\Take;
use Documents\Document;

/** A take on the line of an operator's scores. */
final readonly class TrendPoint implements Document
{
    /** @param  ?float  $median  of this take and the four before it */
    public function __construct(
        public int $take,
        public string $flownAt,
        public float $score,
        public float $uncertainty,
        public ?float $median,
    ) {
    }

    public static function of(Take $take, ?float $median): self
    {
        return new self($take->id, $take->flown_at->toIso8601ZuluString(), $take->score, $take->uncertainty, $median);
    }
}
