<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\Craft;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

/**
 * A machine of the school.
 *
 * @mixin Craft
 */
#[OA\Schema(schema: 'Craft', required: ['id', 'name', 'version', 'document', 'measured', 'mine'], properties: [
    new OA\Property(property: 'id', type: 'integer'), new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'version', type: 'integer'),
    new OA\Property(property: 'document', ref: '#/components/schemas/CraftDocument'),
    new OA\Property(
        property: 'measured', type: 'object', nullable: true,
        additionalProperties: new OA\AdditionalProperties(type: 'array', items: new OA\Items(ref: '#/components/schemas/StepFit')),
    ),
    new OA\Property(property: 'mine', description: 'whether you may change it', type: 'boolean'),
], type: 'object')]
class CraftResource extends Resource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        return [
            'id' => $this->id, 'name' => $this->name, 'version' => $this->version, 'document' => $this->sheet()->toArray(),
            'measured' => $this->measured === null ? null : (object) $this->measured,
            'mine' => $request->user()?->can('update', $this->resource) ?? false,
        ];
    }
}
