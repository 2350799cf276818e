<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** What somebody wants to practise: a shot by its id, or a drill or a site as it is by a draft; and what is made hard about it. */
#[OA\Schema(schema: 'ExerciseWanted', required: ['seed'], properties: [
    new OA\Property(property: 'shot_id', type: 'integer', nullable: true),
    new OA\Property(property: 'kind', type: 'string', enum: ['plan', 'free']),
    new OA\Property(property: 'draft', ref: '#/components/schemas/PlanDraft', nullable: true),
    new OA\Property(property: 'conditions', ref: '#/components/schemas/Conditions'),
    new OA\Property(property: 'seed', type: 'integer'),
], type: 'object')]
#[OA\Schema(schema: 'Conditions', description: 'what a trainer makes of an exercise beside its plan', properties: [
    new OA\Property(property: 'model', type: 'string', enum: ['positioning', 'free', 'levelling', 'rates']),
    new OA\Property(property: 'wind', ref: '#/components/schemas/Wind', nullable: true),
    new OA\Property(
        property: 'draught', required: ['east_m', 'north_m', 'radius_m', 'toward_deg', 'speed_mps'], properties: [
            new OA\Property(property: 'east_m', type: 'number'), new OA\Property(property: 'north_m', type: 'number'),
            new OA\Property(property: 'radius_m', type: 'number'), new OA\Property(property: 'toward_deg', type: 'number'),
            new OA\Property(property: 'speed_mps', type: 'number'),
        ], type: 'object', nullable: true,
    ),
    new OA\Property(property: 'nose_in', type: 'boolean'),
    new OA\Property(property: 'wheel_reversed', type: 'boolean'),
    new OA\Property(property: 'gimbal_high_deg', description: 'highest tilt', type: 'number', nullable: true),
    new OA\Property(property: 'heavy', type: 'boolean'),
    new OA\Property(property: 'battery_min', type: 'number', nullable: true),
    new OA\Property(property: 'reserve', description: 'share of the battery', type: 'number'),
    new OA\Property(property: 'call_s', description: 'when the spotter calls "aircraft"', type: 'number', nullable: true),
    new OA\Property(property: 'calls', description: 'whether the spotter calls, at a second that nobody is told', type: 'boolean'),
    new OA\Property(property: 'jolt', description: 'whether the press of record shakes the controller', type: 'boolean'),
    new OA\Property(property: 'from_pad', type: 'boolean'),
    new OA\Property(
        property: 'loop', required: ['from_s', 'to_s'],
        properties: [new OA\Property(property: 'from_s', type: 'number'), new OA\Property(property: 'to_s', type: 'number')],
        type: 'object', nullable: true,
    ),
    new OA\Property(
        property: 'pilot', description: 'where the pilot stands, from take-off', required: ['east_m', 'north_m'],
        properties: [new OA\Property(property: 'east_m', type: 'number'), new OA\Property(property: 'north_m', type: 'number')],
        type: 'object', nullable: true,
    ),
    new OA\Property(
        property: 'hidden', description: 'instruments that are taken away', type: 'object',
        additionalProperties: new OA\AdditionalProperties(type: 'boolean'),
    ),
], type: 'object')]
final class ExerciseWanted extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'shot_id' => ['required_without:draft', 'nullable', 'integer'],
            'kind' => ['sometimes', 'in:plan,free'],
            'draft' => ['required_without:shot_id', 'nullable', 'array'],
            'draft.site_id' => ['required_with:draft', 'integer'],
            'draft.rig_id' => ['required_with:draft', 'integer'],
            'draft.mode' => ['required_with:draft', 'string', 'max:16'],
            'draft.move' => ['required_with:draft', 'string', 'max:40'],
            'draft.subject_id' => ['sometimes', 'nullable', 'string', 'max:60'],
            'draft.subject_at' => ['sometimes', 'nullable', 'array'],
            'draft.aim' => ['sometimes', 'nullable', 'array'],
            'draft.parameters' => ['sometimes', 'nullable', 'array'],
            'draft.parts' => ['sometimes', 'nullable', 'array', 'max:3'],
            'draft.join' => ['sometimes', 'nullable', 'string', 'max:16'],
            'draft.wind' => ['sometimes', 'nullable', 'array'],
            'conditions' => ['sometimes', 'array'],
            'seed' => ['required', 'integer', 'between:1,999999999'],
        ];
    }

    /**
     * @return array{
     *     site_id: int, rig_id: int, mode: string, move: string, subject_id?: ?string,
     *     subject_at?: ?array{east_m: float, north_m: float, base_m?: float, aim_m?: float}, aim?: ?array{x: float, y: float},
     *     parameters?: ?array<string, mixed>, join?: ?string, parts?: ?list<array<string, mixed>>, wind?: ?array<string, mixed>,
     * }
     */
    public function draft(): array
    {
        /**
         * @var array{
         *     site_id: int, rig_id: int, mode: string, move: string, subject_id?: ?string,
         *     subject_at?: ?array{east_m: float, north_m: float, base_m?: float, aim_m?: float}, aim?: ?array{x: float, y: float},
         *     parameters?: ?array<string, mixed>, join?: ?string, parts?: ?list<array<string, mixed>>, wind?: ?array<string, mixed>,
         * } $draft
         */
        $draft = $this->safe(['draft'])['draft'];

        return $draft;
    }
}
