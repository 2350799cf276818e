<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** A picture that is wanted: how large its subject stands and where, with the horizon at a place or the lens at a height. */
#[OA\Schema(schema: 'WantedPicture', required: ['rig_id', 'subject_m', 'fills'], properties: [
    new OA\Property(property: 'rig_id', type: 'integer'),
    new OA\Property(property: 'subject_m', description: 'height of the subject', type: 'number'),
    new OA\Property(property: 'fills', description: 'share of the frame’s height', type: 'number'),
    new OA\Property(property: 'middle_y', description: 'place of its middle, from the top', type: 'number'),
    new OA\Property(property: 'horizon_y', description: 'place of the horizon, from the top', type: 'number'),
    new OA\Property(property: 'height_m', description: 'of the lens above the subject’s foot; the horizon then follows', type: 'number', nullable: true),
], type: 'object')]
final class WantedPicture extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'rig_id' => ['required', 'integer'],
            'subject_m' => ['required', 'numeric', 'between:0.1,500'],
            'fills' => ['required', 'numeric', 'between:0.01,0.95'],
            'middle_y' => ['sometimes', 'numeric', 'between:0,1'],
            'horizon_y' => ['sometimes', 'numeric', 'between:-1,2'],
            'height_m' => ['sometimes', 'nullable', 'numeric', 'between:0,500'],
        ];
    }
}
