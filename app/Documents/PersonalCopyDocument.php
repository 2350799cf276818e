<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\PersonalCopy;
use Documents\Document;

/** A copy of everything about a person, and how far it is. */
final readonly class PersonalCopyDocument implements Document
{
    /**
     * @param  string  $of  whose data
     * @param  'waiting'|'writing'|'ready'|'failed'  $state
     * @param  int  $total  takes and logs
     */
    public function __construct(
        public int $id,
        public string $of,
        public string $state,
        public int $done,
        public int $total,
        public int $bytes,
        public string $at,
        public string $until,
    ) {
    }

    public static function of(PersonalCopy $copy): self
    {
        return new self(
            $copy->id, $copy->user->name, $copy->state, min($copy->done, $copy->of), $copy->of, $copy->bytes, $copy->created_at
                ->toIso8601ZuluString(),
            $copy->created_at->addDays(PersonalCopy::DAYS)->toIso8601ZuluString(),
        );
    }
}
