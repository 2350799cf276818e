<?php

declare(strict_types=1);

namespace Documents\Score;

use Documents\Document;

/** A stretch of a take, s. */
final readonly class Stretch implements Document
{
    public function __construct(
        public float $fromS,
        public float $toS,
        public float $seconds,
    ) {
    }

    /** @param  array{from: float, to: float}  $stretch */
    public static function of(array $stretch): self
    {
        return new self(round($stretch['from'], 1), round($stretch['to'], 1), round($stretch['to'] - $stretch['from'], 1));
    }
}
