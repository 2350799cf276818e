<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\Rig;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

/**
 * A version of a craft’s settings.
 *
 * @mixin Rig
 */
#[OA\Schema(schema: 'Rig', required: ['id', 'craft', 'craft_id', 'version', 'operator_id', 'operator', 'camera'], properties: [
    new OA\Property(property: 'id', type: 'integer'),
    new OA\Property(property: 'craft', type: 'string'),
    new OA\Property(property: 'craft_id', type: 'integer'),
    new OA\Property(property: 'version', type: 'integer'),
    new OA\Property(property: 'operator', type: 'string', nullable: true),
    new OA\Property(property: 'operator_id', type: 'integer', nullable: true),
    new OA\Property(property: 'camera', ref: '#/components/schemas/RigCamera'),
], type: 'object')]
class RigResource extends Resource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        return [
            'id' => $this->id,
            'craft' => $this->craft,
            'craft_id' => $this->craft_id,
            'version' => $this->version,
            'operator_id' => $this->operator_id,
            'operator' => $this->operator?->name,
            'camera' => [...$this->camera, 'focal_mm' => $this->camera['focal_mm'] ?? null],
        ];
    }
}
