<?php

declare(strict_types=1);

namespace Documents\Training;

use Documents\Document;
use Documents\Score\Facets;
use Larkspur\Training\Standing\Measure;
use Larkspur\Training\Standing\Standing;

/** How an operator's takes are now: where they stand in all and in each petal. */
final readonly class TypicalTake implements Document
{
    public function __construct(public int $takes, public float $score, public Facets $facets)
    {
    }

    /**
     * @param  array<string, Standing>  $standings  by measure
     * @return ?self null where there is no take to stand on
     */
    public static function of(array $standings): ?self
    {
        $score = $standings[Measure::SCORE] ?? null;
        $facets = [];
        foreach (Measure::petals() as $petal) {
            $facets[$petal] = isset($standings[$petal]) ? round($standings[$petal]->onScale(), 1) : null;
        }

        return $score === null ? null : new self($score->takes, round($score->onScale(), 1), new Facets(...$facets));
    }
}
