<?php

declare(strict_types=1);

namespace Documents\Progress;

use Documents\Document;
use Larkspur\Fact;
use Larkspur\Move\Catalogue;
use Larkspur\Training\Ladder\StepStanding;
use Larkspur\Training\PastTake;

/** One step of the ladder, and how far somebody is with it. */
final readonly class StepDocument implements Document
{
    /**
     * @param  int  $rank  how many steps lead to it at most
     * @param  list<string>  $needs  ids of steps
     * @param  list<StepMove>  $moves
     * @param  'closed'|'open'|'in-work'|'enough'|'settled'|'signed'|'stale'  $state
     * @param  bool  $passed  whether what builds on it is open
     * @param  float  $share  of the evidence that is asked, 0 to 1
     * @param  list<string|Fact>  $missing
     * @param  list<int>  $counting  ids of takes
     * @param  ?string  $due  day on which it is to be shown again
     * @param  bool  $word  the operator says that it feels settled
     * @param  ?string  $signedOn  UTC
     * @param  bool  $signOff  whether a trainer's sign-off is asked
     * @param  bool  $lacks  whether a sign-off now would go against what is known
     */
    public function __construct(
        public string $id, public string|Fact $name, public int $level, public int $rank, public array $needs, public array $moves,
        public string $state, public string|Fact $stateName, public bool $passed, public float $share, public array $missing,
        public array $counting,
        public ?string $due, public bool $isDue, public bool $supervised, public string $supervisor, public bool $word,
        public bool $ownWord, public bool $signOff, public ?string $signedOn, public bool $overruled,
        public bool $lacks,
    ) {
    }

    public static function of(StepStanding $one, float $today): self
    {
        $day = static fn (float $day): string => gmdate('Y-m-d\TH:i:s\Z', (int) round(86400 * $day));
        $step = $one->step;

        return new self(
            $step->id, $step->name(), $step->level, $one->rank, $step->needs,
            array_map(static fn (string $move): StepMove => new StepMove($move, Catalogue::nameOf($move)), $step->moves),
            $one->state->value, $one->state->words(), $one->state->isPassed(), round($one->evidence->share, 2), $one->missing,
            array_map(static fn (PastTake $take): int => $take->id, $one->evidence->counting),
            $one->state->isPassed() && $one->repetition !== null ? $day($one->repetition->due()) : null, $one->isDue($today),
            $step->supervised, $one->record->supervisor, $one->record->word, $step->criterion->ownWord, $step->criterion->signOff,
            $one->record->signedDay === null ? null : $day($one->record->signedDay), $one->record->overruled,
            $one->lacksForSignOff(),
        );
    }
}
