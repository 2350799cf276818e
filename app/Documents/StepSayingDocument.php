<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\StepSaying;
use Documents\Document;

/** What somebody said of a step. */
final readonly class StepSayingDocument implements Document
{
    /**
     * @param  'word'|'doubt'|'sign-off'|'withdrawal'|'supervisor'  $kind
     * @param  string  $at  UTC
     * @param  list<int>  $restsOn  ids of takes
     */
    public function __construct(
        public int $id, public string $step, public string $kind, public string $author, public bool $overruled, public string $text,
        public string $at, public array $restsOn,
    ) {
    }

    public static function of(StepSaying $said): self
    {
        return new self(
            $said->id, $said->step, $said->kind, $said->author, $said->overruled, $said->text, $said->created_at->toIso8601ZuluString(),
            $said->rests_on,
        );
    }
}
