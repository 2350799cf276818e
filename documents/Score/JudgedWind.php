<?php

declare(strict_types=1);

namespace Documents\Score;

use Documents\Document;
use Larkspur\Scoring\WindReport;

/** The wind that a take was flown in, and about how many points of steadiness it cost. */
final readonly class JudgedWind implements Document
{
    public function __construct(
        public ?float $meanMps,
        public ?float $gustMps,
        public ?float $share,
    ) {
    }

    public static function of(WindReport $wind): self
    {
        return new self($wind->mean, $wind->gust, $wind->share === null ? null : round($wind->share, 1));
    }
}
