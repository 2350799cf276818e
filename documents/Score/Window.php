<?php

declare(strict_types=1);

namespace Documents\Score;

use Documents\Document;

/** The best window of a length that editors ask for, s, and its mean cost. */
final readonly class Window implements Document
{
    public function __construct(
        public float $fromS,
        public float $toS,
        public float $seconds,
        public float $cost,
    ) {
    }

    /** @param  array{from: float, to: float, cost: float}  $window */
    public static function of(array $window): self
    {
        return new self(
            round($window['from'], 1), round($window['to'], 1), round($window['to'] - $window['from'], 1), round($window['cost'], 3),
        );
    }
}
