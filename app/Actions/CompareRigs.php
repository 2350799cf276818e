<?php

declare(strict_types=1);

namespace App\Actions;

use App\Http\Resources\RigResource;
use App\Models\Rig;
use Documents\Rig\RigChange;
use Larkspur\Rig\Difference;
use Larkspur\Rig\SettingsEffect;

/** Two rigs beside each other in one of their modes. */
final readonly class CompareRigs
{
    public function __construct(private ReadRig $read)
    {
    }

    /** @return array<string, mixed> */
    public function __invoke(Rig $one, Rig $other, string $mode): array
    {
        return [
            'one' => $this->side($one, $mode), 'other' => $this->side($other, $mode),
            // Bare numbers of two craft say nothing beside each other; their curves and rates do.
            'same_craft' => $one->craft_id === $other->craft_id,
            'differences' => $one->craft_id !== $other->craft_id
                ? []
                : RigChange::each(Difference::between($other->settings(), $one->settings())),
        ];
    }

    /** @return array<string, mixed> */
    private function side(Rig $rig, string $mode): array
    {
        $rig->load(['model', 'operator', 'author']);

        return [
            'rig' => new RigResource($rig),
            'reading' => ($this->read)($rig, $rig->model, $mode, null, null, null, SettingsEffect::LOOKED_AT),
        ];
    }
}
