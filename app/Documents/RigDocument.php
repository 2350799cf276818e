<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\Rig;
use Documents\Document;
use Documents\Rig\RigCamera;

/** A version of a rig in a list. */
final readonly class RigDocument implements Document
{
    public function __construct(
        public int $id,
        public string $craft,
        public int $craftId,
        public int $version,
        public ?int $operatorId,
        public ?string $operator,
        public RigCamera $camera,
    ) {
    }

    public static function of(Rig $rig): self
    {
        return new self(
            $rig->id, $rig->craft, $rig->craft_id, $rig->version, $rig->operator_id, $rig->operator?->name, RigCamera::of($rig->camera),
        );
    }
}
