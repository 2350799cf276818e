<?php

declare(strict_types=1);

namespace Larkspur\Training\Next;

use Larkspur\Fact;

/** One thing to do today, and what speaks for it. */
final readonly class Suggestion
{
    /**
     * @param  'assigned'|'first'|'come-back'|'stuck'|'step'|'again'|'other-way'|'slow'|'fault'|'word'  $kind
     * @param  string  $move  what is flown; empty where it does not matter
     * @param  string  $about  what it is about beside the move: a step, a finger, a petal, a fault, a direction
     * @param  float  $weight  how much speaks for it; the greatest is first
     * @param  Fact  $title  what to do, one line
     * @param  list<Fact>  $evidence  what it rests on, in words
     * @param  ?int  $shot  of the operator, that suits
     * @param  array<string, string|float>  $setting  mode, direction, pace: what is to be set
     */
    public function __construct(
        public string $kind, public string $move, public string $about, public float $weight, public Activity $activity, public Fact $title,
        public array $evidence, public ?Fact $cue = null, public ?int $shot = null, public array $setting = [], public ?string $step = null,
    ) {
    }

    /** By what it is known when somebody says "not today". */
    public function key(): string
    {
        return implode(' ', array_filter([$this->kind, $this->move, $this->about], static fn (string $part): bool => $part !== ''));
    }

    public function weighing(float $weight): self
    {
        return new self(
            $this->kind, $this->move, $this->about, $weight, $this->activity, $this->title, $this->evidence, $this->cue, $this->shot,
            $this->setting, $this->step,
        );
    }
}
