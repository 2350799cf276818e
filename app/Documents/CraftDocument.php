<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\Craft;
use App\Models\User;
use Documents\Document;
use Documents\Map;
use Documents\Rig\StepFitDocument;
use Documents\Shape;
use Larkspur\Rig\Craft as CraftSheet;
use Throwable;

/** A craft of the school. */
final readonly class CraftDocument implements Document
{
    /**
     * @param  array<string, mixed>  $document
     * @param  ?Map<list<StepFitDocument>>  $measured  by flight mode
     * @param  bool  $mine  whether you may change it
     * @param  bool  $shared  whether the whole school sees it; else it is of whoever entered it, and of the trainers
     * @param  bool  $damaged  whether what is kept of it can't be read
     */
    public function __construct(
        public int $id,
        public string $name,
        public int $version,
        #[Shape('CraftDocument')]
        public array $document,
        public ?Map $measured,
        public bool $mine,
        public bool $damaged,
        public bool $shared,
    ) {
    }

    public static function of(Craft $craft, User $reader): self
    {
        try {
            $sheet = $craft->sheet()->toArray();
        } catch (Throwable $damage) {
            report($damage);
            $sheet = null;
        }

        return new self(
            $craft->id, $craft->name, $craft->version, $sheet ?? CraftSheet::ordinary($craft->name)->toArray(),
            $craft->measured === null ? null : new Map($craft->measured),
            $reader->can('update', $craft), $sheet === null, $craft->shared,
        );
    }
}
