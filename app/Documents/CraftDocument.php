<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\Craft;
use App\Models\User;
use Documents\Document;
use Documents\Map;
use Documents\Rig\StepFitDocument;
use Documents\Shape;

/** A craft of the school. */
final readonly class CraftDocument implements Document
{
    /**
     * @param  array<string, mixed>  $document
     * @param  ?Map<list<StepFitDocument>>  $measured  by flight mode
     * @param  bool  $mine  whether you may change it
     */
    public function __construct(
        public int $id,
        public string $name,
        public int $version,
        #[Shape('CraftDocument')]
        public array $document,
        public ?Map $measured,
        public bool $mine,
    ) {
    }

    public static function of(Craft $craft, User $reader): self
    {
        return new self(
            $craft->id, $craft->name, $craft->version, $craft->sheet()->toArray(),
            $craft->measured === null ? null : new Map($craft->measured),
            $reader->can('update', $craft),
        );
    }
}
