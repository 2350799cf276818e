<?php

declare(strict_types=1);

namespace App\Http\Requests;

use OpenApi\Attributes as OA;

/** A draft, and the picture that it is to end in (or begin with). */
#[OA\Schema(schema: 'WantedPicture', allOf: [
    new OA\Schema(ref: '#/components/schemas/PlanDraft'),
    new OA\Schema(required: ['picture'], properties: [new OA\Property(property: 'picture', required: ['subject_m', 'fills'], properties: [
        new OA\Property(property: 'at', type: 'string', enum: ['start', 'end']),
        new OA\Property(property: 'subject_m', description: 'height of the subject', type: 'number'),
        new OA\Property(property: 'fills', description: 'share of the frame’s height', type: 'number'),
        new OA\Property(property: 'horizon_y', description: 'place of the horizon, from the top', type: 'number'),
        new OA\Property(property: 'height_m', description: 'of the lens above the subject’s foot; the horizon then follows', type: 'number', nullable: true),
        new OA\Property(property: 'hold_s', description: 'wanted length of the hold', type: 'number', nullable: true),
        new OA\Property(property: 'hidden', description: 'id of what must not be seen in the first frame; “sea” for all water', type: 'string', nullable: true),
    ], type: 'object')], type: 'object'),
])]
final class WantedPicture extends PlanDraft
{
    public function rules(): array
    {
        return [...parent::rules(), 'picture' => ['required', 'array']];
    }
}
