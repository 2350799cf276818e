<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Actions\ReadRig;
use App\Models\Rig;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

/**
 * A version of a rig with all that may be set of it.
 *
 * @mixin Rig
 */
#[OA\Schema(schema: 'RigDetail', required: [
    'id', 'craft', 'craft_id', 'kind', 'version', 'operator_id', 'operator', 'camera', 'author', 'reason', 'at', 'settings', 'focals',
    'convention', 'mine',
], properties: [
    new OA\Property(property: 'id', type: 'integer'), new OA\Property(property: 'craft', type: 'string'),
    new OA\Property(property: 'craft_id', type: 'integer'), new OA\Property(property: 'kind', type: 'string', enum: ['camera', 'ducted']),
    new OA\Property(property: 'version', type: 'integer'), new OA\Property(property: 'operator_id', type: 'integer', nullable: true),
    new OA\Property(property: 'operator', type: 'string', nullable: true),
    new OA\Property(property: 'camera', ref: '#/components/schemas/RigCamera'),
    new OA\Property(property: 'author', type: 'string', nullable: true), new OA\Property(property: 'reason', type: 'string'),
    new OA\Property(property: 'at', type: 'string'),
    new OA\Property(property: 'settings', ref: '#/components/schemas/RigSettings'),
    new OA\Property(
        property: 'focals', description: 'focal lengths that the craft carries, mm', type: 'array', items: new OA\Items(type: 'number'),
    ),
    new OA\Property(property: 'convention', type: 'string'),
    new OA\Property(property: 'mine', description: 'whether you may save it as it is owned', type: 'boolean'),
], type: 'object')]
class RigDetail extends Resource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        return [
            'id' => $this->id, 'craft' => $this->craft, 'craft_id' => $this->craft_id, 'kind' => $this->model->sheet()->kind,
            'version' => $this->version,
            'operator_id' => $this->operator_id, 'operator' => $this->operator?->name,
            'camera' => [...$this->camera, 'focal_mm' => $this->camera['focal_mm'] ?? null],
            'author' => $this->author?->name, 'reason' => $this->reason, 'at' => $this->created_at->toIso8601String(),
            'settings' => ReadRig::settings($this->sheet()), 'focals' => $this->model->sheet()->camera->focals,
            'convention' => $this->model->sheet()->convention,
            'mine' => $request->user()?->can('saveFor', [Rig::class, $this->operator]) ?? false,
        ];
    }
}
