<?php

declare(strict_types=1);

namespace Larkspur\Training;

use Larkspur\Fact;

/** What to practise next, and why. */
final readonly class PracticeAdvice
{
    /**
     * @param  'first'|'mend-facet'|'other-way'|'tighter'|'come-back'  $kind
     * @param  Fact  $title  what to do, one line
     * @param  Fact  $reason  why, from the operator's own record
     * @param  ?string  $facet  the petal to work on
     * @param  array<string, float|string>  $change  parameters to change in the last shot
     * @param  array<string, float|int|string>  $evidence  the figures that the reason rests on
     * @param  ?array{takes: int, score: float, facets: array<string, ?float>}  $typical  medians of the takes looked at
     */
    public function __construct(
        public string $kind,
        public Fact $title,
        public Fact $reason,
        public ?string $facet = null,
        public ?Fact $cue = null,
        public array $change = [],
        public array $evidence = [],
        public ?array $typical = null,
    ) {
    }

    /** @param  array{takes: int, score: float, facets: array<string, ?float>}  $typical */
    public function restingOn(array $typical): self
    {
        return new self($this->kind, $this->title, $this->reason, $this->facet, $this->cue, $this->change, $this->evidence, $typical);
    }
}
