<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\Shot;
use Documents\Document;
use Documents\Person;
use Documents\Shape;
use Larkspur\Choreography\Brief;
use Larkspur\Fields;
use Larkspur\Move\Intent;
use Larkspur\Site\Wind;
use Throwable;

/** A planned shot. */
final readonly class ShotDocument implements Document
{
    /**
     * @param  'slow'|'standard'|'fast'  $mode
     * @param  array<string, mixed>  $intent
     * @param  ?array<string, mixed>  $subjectAt  a place of its own
     * @param  array<string, mixed>  $wind
     * @param  array<string, mixed>  $brief
     * @param  bool  $damaged  whether what is kept of it can't be read: it can only be removed
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
        public int $version,
        public string $updatedAt,
        public bool $damaged,
    ) {
    }

    /** A list shows what can't be read in its place, rather than nothing at all. */
    public static function of(Shot $shot): self
    {
        try {
            return self::whole($shot);
        } catch (Throwable $damage) {
            report($damage);

            return new self(
                $shot->id, $shot->title, new Person($shot->operator->id, $shot->operator->name), $shot->site_id, $shot->site->name, $shot
                    ->rig_id,
                $shot->rig->craft, $shot->rig->version, $shot->mode, $shot
                    ->move, ['move' => $shot->move, 'parameters' => (object) []], null, null,
                (new Wind(0.0, 0.0, 0.0))->toArray(), Brief::read(null)->toArray(), (int) ($shot->takes_count ?? 0), $shot->version,
                $shot->updated_at->toIso8601String(), true,
            );
        }
    }

    public static function whole(Shot $shot): self
    {
        Intent::read(Fields::of([...$shot->intent, 'camera' => $shot->rig->camera], 'intent'));

        return new self(
            id: $shot->id, title: $shot->title, operator: new Person($shot->operator->id, $shot->operator->name), siteId: $shot->site_id,
            site: $shot->site->name, rigId: $shot->rig_id, craft: $shot->rig->craft, rigVersion: $shot->rig->version, mode: $shot->mode,
            move: $shot->move, intent: WrittenIntent::of($shot->intent), subjectId: $shot->subjectId(), subjectAt: $shot->subjectAt(),
            wind: $shot->wind, brief: $shot->brief()->toArray(), takes: (int) ($shot->takes_count ?? 0), version: $shot->version,
            updatedAt: $shot->updated_at->toIso8601String(), damaged: false,
        );
    }
}
