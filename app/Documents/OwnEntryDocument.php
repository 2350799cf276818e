<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\OwnEntry;
use Documents\Document;

/** A flight without a log, as its operator wrote it down. */
final readonly class OwnEntryDocument implements Document
{
    /** @param  string  $flownAt  UTC */
    public function __construct(
        public int $id, public string $flownAt, public float $minutes, public int $batteries, public string $craft, public string $place,
        public string $text,
    ) {
    }

    public static function of(OwnEntry $entry): self
    {
        return new self(
            $entry->id, $entry->flown_at->toIso8601ZuluString(), $entry->minutes, $entry->batteries, $entry->craft, $entry->place,
            $entry->text,
        );
    }
}
