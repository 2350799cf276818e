<?php

declare(strict_types=1);

namespace Documents\Training;

use Documents\Document;
use Documents\Map;
use Documents\Score\Facets;
use Larkspur\Fact;
use Larkspur\Training\PracticeAdvice;

/** What to practise next, and why. */
final readonly class AdviceDocument implements Document
{
    /**
     * @param  'first'|'come-back'|'mend-facet'|'other-way'|'tighter'  $kind
     * @param  Map<float|string>  $change
     * @param  Map<float|int|string>  $evidence
     */
    public function __construct(
        public string $kind,
        public Fact $title,
        public Fact $reason,
        public ?string $facet,
        public ?Fact $cue,
        public Map $change,
        public Map $evidence,
        public ?TypicalTake $typical,
    ) {
    }

    public static function of(PracticeAdvice $advice): self
    {
        $typical = $advice->typical;

        return new self(
            $advice->kind, $advice->title, $advice->reason, $advice->facet, $advice->cue, new Map($advice->change),
            new Map($advice->evidence),
            $typical === null ? null : new TypicalTake($typical['takes'], $typical['score'], new Facets(...$typical['facets'])),
        );
    }
}
