<?php

declare(strict_types=1);

namespace App\Http\Requests;

use OpenApi\Attributes as OA;

/** A draft that is kept, under a title. */
#[OA\Schema(schema: 'ShotDraft', allOf: [
    new OA\Schema(ref: '#/components/schemas/PlanDraft'),
    new OA\Schema(required: ['title'], properties: [new OA\Property(property: 'title', type: 'string', maxLength: 120)], type: 'object'),
])]
final class SaveShot extends PlanDraft
{
    public function rules(): array
    {
        return [...parent::rules(), 'title' => ['required', 'string', 'max:120']];
    }
}
