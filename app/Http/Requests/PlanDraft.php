<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** A shot as the page has it: a site, a rig, a subject and parameters. What they may be is core's to say. */
#[OA\Schema(schema: 'PlanDraft', required: ['site_id', 'rig_id', 'mode', 'move'], properties: [
    new OA\Property(property: 'site_id', type: 'integer'),
    new OA\Property(property: 'rig_id', type: 'integer'),
    new OA\Property(property: 'mode', type: 'string', enum: ['slow', 'standard', 'fast']),
    new OA\Property(property: 'move', type: 'string'),
    new OA\Property(property: 'subject_id', type: 'string', nullable: true),
    new OA\Property(property: 'subject_at', ref: '#/components/schemas/OwnPlace', nullable: true),
    new OA\Property(
        property: 'aim', required: ['x', 'y'],
        properties: [new OA\Property(property: 'x', type: 'number'), new OA\Property(property: 'y', type: 'number')], type: 'object',
        nullable: true,
    ),
    new OA\Property(
        property: 'parameters', type: 'object',
        additionalProperties: new OA\AdditionalProperties(oneOf: [new OA\Schema(type: 'number'), new OA\Schema(type: 'string')]),
    ),
    new OA\Property(property: 'join', description: 'of a combination', type: 'string', enum: ['sequence', 'together']),
    new OA\Property(
        property: 'parts', description: 'of a combination: two or three moves', type: 'array',
        items: new OA\Items(ref: '#/components/schemas/Part'),
    ),
    new OA\Property(property: 'wind', ref: '#/components/schemas/Wind', nullable: true),
    new OA\Property(property: 'brief', ref: '#/components/schemas/Brief', nullable: true),
], type: 'object')]
class PlanDraft extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'site_id' => ['required', 'integer'],
            'rig_id' => ['required', 'integer'],
            'mode' => ['required', 'string', 'max:16'],
            'move' => ['required', 'string', 'max:40'],
            'subject_id' => ['sometimes', 'nullable', 'string', 'max:60'],
            'subject_at' => ['sometimes', 'nullable', 'array'],
            'aim' => ['sometimes', 'nullable', 'array'],
            'parameters' => ['sometimes', 'nullable', 'array'],
            'join' => ['sometimes', 'nullable', 'string', 'max:16'],
            'parts' => ['sometimes', 'nullable', 'array', 'max:3'],
            'wind' => ['sometimes', 'nullable', 'array'],
            'brief' => ['sometimes', 'nullable', 'array'],
        ];
    }

    /**
     * @return array{
     *     mode: string, move: string, subject_id?: ?string,
     *     subject_at?: ?array{east_m: float, north_m: float, base_m?: float, aim_m?: float}, aim?: ?array{x: float, y: float},
     *     parameters?: ?array<string, mixed>, join?: ?string, parts?: ?list<array<string, mixed>>, wind?: ?array<string, mixed>,
     *     brief?: ?array<string, mixed>,
     * }
     */
    public function draft(): array
    {
        /**
         * @var array{
         *     mode: string, move: string, subject_id?: ?string,
         *     subject_at?: ?array{east_m: float, north_m: float, base_m?: float, aim_m?: float}, aim?: ?array{x: float, y: float},
         *     parameters?: ?array<string, mixed>, join?: ?string, parts?: ?list<array<string, mixed>>, wind?: ?array<string, mixed>,
         *     brief?: ?array<string, mixed>,
         * } $draft
         */
        $draft = $this->safe(['mode', 'move', 'subject_id', 'subject_at', 'aim', 'parameters', 'join', 'parts', 'wind', 'brief']);

        return $draft;
    }
}
