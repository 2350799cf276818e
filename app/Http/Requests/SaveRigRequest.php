<?php

declare(strict_types=1);

namespace App\Http\Requests;

use OpenApi\Attributes as OA;

/** Settings that are kept as a new version: of which rig, for whom, and why. */
#[OA\Schema(schema: 'SaveRig', required: ['settings', 'reason'], properties: [
    new OA\Property(property: 'settings', ref: '#/components/schemas/RigSettings'),
    new OA\Property(property: 'focal_mm', type: 'number', nullable: true),
    new OA\Property(property: 'operator_id', description: 'whose rig it will be; null for the school’s', type: 'integer', nullable: true),
    new OA\Property(property: 'reason', type: 'string', maxLength: 200),
], type: 'object')]
final class SaveRigRequest extends RigReading
{
    public function rules(): array
    {
        return [
            ...parent::rules(), 'mode' => ['sometimes'], 'settings' => ['required', 'array'],
            'operator_id' => ['present', 'nullable', 'integer'], 'reason' => ['required', 'string', 'max:200'],
        ];
    }
}
