<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\Rig;
use App\Models\User;
use Documents\Document;
use Documents\Merged;
use Documents\Shape;

/** A version of a rig, whole. */
final readonly class RigDetail implements Document
{
    /**
     * @param  'camera'|'ducted'  $kind
     * @param  array<string, mixed>  $settings
     * @param  list<float>  $focals  focal lengths that the craft carries, mm
     * @param  bool  $mine  whether you may save it as it is owned
     */
    public function __construct(
        #[Merged]
        public RigDocument $rig,
        public string $kind,
        public ?string $author,
        public string $reason,
        public string $at,
        #[Shape('RigSettings')]
        public array $settings,
        public array $focals,
        public string $convention,
        public bool $mine,
    ) {
    }

    public static function of(Rig $rig, User $reader): self
    {
        $craft = $rig->model->sheet();

        return new self(
            RigDocument::of($rig), $craft->kind, $rig->author?->name, $rig->reason, $rig->created_at->toIso8601String(),
            $rig->sheet()->settings(), $craft->camera->focals, $craft->convention, $reader->can('saveFor', [Rig::class, $rig->operator]),
        );
    }
}
