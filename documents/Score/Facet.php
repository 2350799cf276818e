<?php

declare(strict_types=1);

namespace Documents\Score;

use Documents\Document;
use Larkspur\Fact;
use Larkspur\Scoring\Facet as Petal;

/** One petal of a take. */
final readonly class Facet implements Document
{
    /**
     * @param  list<Figure>  $figures
     */
    public function __construct(
        public Fact $name,
        public ?float $score,
        public Fact $why,
        public array $figures,
    ) {
    }

    public static function of(Petal $facet): self
    {
        return new self(
            Fact::of("petal.$facet->id"), $facet->score === null ? null : round($facet->score, 1), $facet->why,
            array_map(Figure::of(...), $facet->metrics),
        );
    }
}
