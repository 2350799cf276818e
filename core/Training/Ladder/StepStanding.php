<?php

declare(strict_types=1);

namespace Larkspur\Training\Ladder;

use Larkspur\Fact;
use Larkspur\Training\Repetition;

/** How far one operator is with one step, and what is missing. */
final readonly class StepStanding
{
    /** @param  list<Fact>  $missing  in words, what comes first first; empty for one that is passed */
    public function __construct(
        public Step $step, public int $rank, public StepState $state, public Evidence $evidence, public array $missing,
        public StepRecord $record, public ?Repetition $repetition,
    ) {
    }

    /** Whether a sign-off would go against what is known: too little evidence, what it needs not passed, or nobody named to stand by. */
    public function lacksForSignOff(): bool
    {
        return $this->evidence->missing !== [] || $this->state === StepState::Closed
            || ($this->step->supervised && $this->record->supervisor === '');
    }

    /** Whether it is the operator's turn to say that it feels settled. */
    public function waitsForWord(): bool
    {
        return $this->state === StepState::Enough && $this->step->criterion->ownWord && ! $this->record->word;
    }

    /** Whether it is to be shown again by a day. */
    public function isDue(float $today): bool
    {
        return $this->state->isPassed() && $this->repetition !== null && $this->repetition->due() <= $today;
    }
}
