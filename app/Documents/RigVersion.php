<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\Rig;
use Documents\Document;
use Documents\Rig\RigChange;
use Documents\Rig\SinceChangeDocument;

/** A version of a rig in its history: what it changed, and how scores moved since. */
final readonly class RigVersion implements Document
{
    /**
     * @param  list<HeldTakes>  $held  its takes by grip and touch, where there is more than one of these
     * @param  list<RigChange>  $changes
     */
    public function __construct(
        public int $id,
        public int $version,
        public ?string $author,
        public string $at,
        public string $reason,
        public int $takes,
        public array $held,
        public array $changes,
        public ?SinceChangeDocument $since,
    ) {
    }

    /**
     * @param  list<HeldTakes>  $held
     * @param  list<RigChange>  $changes
     */
    public static function of(Rig $rig, int $takes, array $held, array $changes, ?SinceChangeDocument $since): self
    {
        return new self(
            $rig->id, $rig->version, $rig->author?->name, $rig->created_at->toIso8601String(), $rig->reason, $takes, $held, $changes,
            $since,
        );
    }
}
