<?php

declare(strict_types=1);

namespace Documents\Score;

use Documents\Document;
use Larkspur\Scoring\Score;

/** The petals of a take. */
final readonly class JudgedFacets implements Document
{
    public function __construct(
        public Facet $ease,
        public Facet $flow,
        public Facet $hold,
        public Facet $line,
        public Facet $frame,
    ) {
    }

    public static function of(Score $score): self
    {
        $petals = [];
        foreach ($score->facets as $facet) {
            $petals[$facet->id] = Facet::of($facet);
        }

        return new self(...$petals);
    }
}
