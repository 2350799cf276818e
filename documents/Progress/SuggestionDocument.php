<?php

declare(strict_types=1);

namespace Documents\Progress;

use Documents\Document;
use Documents\Map;
use Larkspur\Fact;
use Larkspur\Training\Next\Suggestion;

/** One thing to do today. */
final readonly class SuggestionDocument implements Document
{
    /**
     * @param  string  $key  by which it is not wanted today
     * @param  'assigned'|'first'|'come-back'|'stuck'|'step'|'again'|'other-way'|'slow'|'fault'|'word'  $kind
     * @param  string  $move  empty where it does not matter
     * @param  'fly'|'practise'|'rehearse'|'spot'|'read'  $activity
     * @param  list<string|Fact>  $evidence
     * @param  Map<string|float>  $setting
     */
    public function __construct(
        public string $key, public string $kind, public string $move, public string $activity, public string|Fact $how,
        public string|Fact $title, public array $evidence, public string|Fact|null $cue, public ?int $shotId, public Map $setting,
        public ?string $step, public float $weight,
    ) {
    }

    public static function of(Suggestion $one): self
    {
        return new self(
            $one->key(), $one->kind, $one->move, $one->activity->value, $one->activity->words(), $one->title, $one->evidence, $one->cue,
            $one->shot, new Map($one->setting), $one->step, round($one->weight, 1),
        );
    }
}
