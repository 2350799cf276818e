<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\User;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

/**
 * Someone signed in.
 *
 * @mixin User
 */
#[OA\Schema(schema: 'User', required: [
    'id', 'name', 'email', 'role', 'school', 'crop_budget', 'comfort', 'house', 'school_house', 'stick_mode', 'wheel_up', 'units', 'theme',
], properties: [
    new OA\Property(property: 'id', type: 'integer'),
    new OA\Property(property: 'name', type: 'string'),
    new OA\Property(property: 'email', type: 'string'),
    new OA\Property(property: 'role', type: 'string', enum: ['trainer', 'operator']),
    new OA\Property(property: 'school', type: 'string'),
    new OA\Property(property: 'crop_budget', type: 'number'),
    new OA\Property(property: 'comfort', ref: '#/components/schemas/Band'),
    new OA\Property(property: 'house', description: 'of thought about settings, that is followed', type: 'string'),
    new OA\Property(property: 'school_house', type: 'string'),
    new OA\Property(property: 'stick_mode', type: 'integer'),
    new OA\Property(property: 'wheel_up', type: 'string'),
    new OA\Property(property: 'units', type: 'string', enum: ['metric', 'feet']),
    new OA\Property(property: 'theme', type: 'string', enum: ['light', 'dark', 'field']),
], type: 'object')]
class UserResource extends Resource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        return [
            'id' => $this->id,
            'name' => $this->name,
            'email' => $this->email,
            'role' => $this->role,
            'school' => $this->school->name,
            'crop_budget' => $this->school->house_style['crop_budget'],
            'comfort' => $this->school->house_style['comfort'],
            'house' => $this->housed()->value,
            'school_house' => $this->school->house_style['house'] ?? 'middle',
            'stick_mode' => $this->stick_mode,
            'wheel_up' => $this->wheel_up,
            'units' => $this->units,
            'theme' => $this->theme,
        ];
    }
}
