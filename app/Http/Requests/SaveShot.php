<?php

declare(strict_types=1);

namespace App\Http\Requests;

use OpenApi\Attributes as OA;

/** A draft that is kept, under a title. */
#[OA\Schema(schema: 'ShotDraft', allOf: [
    new OA\Schema(ref: '#/components/schemas/PlanDraft'),
    new OA\Schema(required: ['title'], properties: [
        new OA\Property(property: 'title', type: 'string', maxLength: 120),
        new OA\Property(property: 'version', description: 'that was worked on; of a shot that exists', type: 'integer'),
    ], type: 'object'),
])]
final class SaveShot extends PlanDraft
{
    public function rules(): array
    {
        return [
            ...parent::rules(), 'title' => ['required', 'string', 'max:120'],
            'version' => [$this->isMethod('PUT') ? 'required' : 'sometimes', 'integer'],
        ];
    }
}
