<?php

declare(strict_types=1);

namespace App\Http\Requests;

use OpenApi\Attributes as OA;

/** A day at a site, and the draft of a shot there where the light on one is asked for. */
#[OA\Schema(schema: 'LightWanted', required: ['site_id', 'date'], properties: [
    new OA\Property(property: 'site_id', type: 'integer'),
    new OA\Property(property: 'date', description: 'such as 2026-06-21', type: 'string'),
    new OA\Property(property: 'light', ref: '#/components/schemas/WantedLight', nullable: true),
    new OA\Property(property: 'rig_id', type: 'integer'), new OA\Property(property: 'mode', type: 'string', enum: ['slow', 'standard', 'fast']), new OA\Property(property: 'move', type: 'string'),
    new OA\Property(property: 'subject_id', type: 'string', nullable: true), new OA\Property(property: 'subject_at', ref: '#/components/schemas/OwnPlace', nullable: true),
    new OA\Property(property: 'parameters', type: 'object', additionalProperties: new OA\AdditionalProperties(oneOf: [new OA\Schema(type: 'number'), new OA\Schema(type: 'string')])),
    new OA\Property(property: 'join', type: 'string', enum: ['sequence', 'together']), new OA\Property(property: 'parts', type: 'array', items: new OA\Items(ref: '#/components/schemas/Part')),
], type: 'object')]
final class LightWanted extends PlanDraft
{
    public function rules(): array
    {
        $sometimes = ['sometimes', 'nullable', 'string', 'max:40'];

        return [...parent::rules(), 'rig_id' => ['sometimes', 'integer'], 'mode' => $sometimes, 'move' => $sometimes, 'date' => ['required', 'string', 'max:10'], 'light' => ['sometimes', 'nullable', 'array']];
    }
}
