<?php

declare(strict_types=1);

namespace Documents\Score;

use Documents\Document;
use Larkspur\Scoring\Score;

/** The petals of a take as numbers, 0 to 100; null where one could not be judged. */
final readonly class Facets implements Document
{
    public function __construct(
        public ?float $ease,
        public ?float $flow,
        public ?float $hold,
        public ?float $line,
        public ?float $frame,
    ) {
    }

    public static function of(Score $score): self
    {
        return new self(...$score->facetScores());
    }
}
