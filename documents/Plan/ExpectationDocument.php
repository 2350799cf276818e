<?php

declare(strict_types=1);

namespace Documents\Plan;

use Documents\Document;
use Documents\Score\Facets;
use Larkspur\Fact;
use Larkspur\Scoring\Expectation;

/** What a plan would score if its thumb sheet were flown as written, in still air. */
final readonly class ExpectationDocument implements Document
{
    public function __construct(
        public Fact $sentence,
        public ?Expected $expected,
    ) {
    }

    public static function of(Expectation $expectation): self
    {
        $score = $expectation->score;

        return new self($expectation->inShort(), $score === null ? null : new Expected(
            round($score->score, 1), $score->verdict->verdict, Facets::of($score), $expectation->limitedBy(),
        ));
    }
}
