<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\Shot;
use Documents\Document;
use Documents\Person;
use Documents\Shape;

/** A planned shot. */
final readonly class ShotDocument implements Document
{
    /**
     * @param  'slow'|'standard'|'fast'  $mode
     * @param  array<string, mixed>  $intent
     * @param  ?array<string, mixed>  $subjectAt  a place of its own
     * @param  array<string, mixed>  $wind
     * @param  array<string, mixed>  $brief
     */
    public function __construct(
        public int $id,
        public string $title,
        public Person $operator,
        public int $siteId,
        public string $site,
        public int $rigId,
        public string $craft,
        public int $rigVersion,
        public string $mode,
        public string $move,
        #[Shape('Intent')]
        public array $intent,
        public ?string $subjectId,
        #[Shape('OwnPlace')]
        public ?array $subjectAt,
        #[Shape('Wind')]
        public array $wind,
        #[Shape('Brief')]
        public array $brief,
        public int $takes,
        public string $updatedAt,
    ) {
    }

    public static function of(Shot $shot): self
    {
        return new self(
            id: $shot->id, title: $shot->title, operator: new Person($shot->operator->id, $shot->operator->name), siteId: $shot->site_id,
            site: $shot->site->name, rigId: $shot->rig_id, craft: $shot->rig->craft, rigVersion: $shot->rig->version, mode: $shot->mode,
            move: $shot->move, intent: WrittenIntent::of($shot->intent), subjectId: $shot->subjectId(), subjectAt: $shot->subjectAt(),
            wind: $shot->wind, brief: $shot->brief()->toArray(), takes: (int) ($shot->takes_count ?? 0),
            updatedAt: $shot->updated_at->toIso8601String(),
        );
    }
}
