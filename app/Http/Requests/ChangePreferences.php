<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** How someone likes things shown, and how they hold their sticks. */
#[OA\Schema(schema: 'Preferences', properties: [
    new OA\Property(property: 'theme', type: 'string', enum: ['light', 'dark', 'field']),
    new OA\Property(property: 'units', type: 'string', enum: ['metric', 'feet']),
    new OA\Property(property: 'stick_mode', type: 'integer', enum: [1, 2, 3, 4]),
    new OA\Property(property: 'wheel_up', type: 'string', enum: ['push', 'pull']),
    new OA\Property(property: 'weekly_mail', description: 'a summary, once a week', type: 'boolean'),
    new OA\Property(property: 'goal_min', description: 'minutes of practice a day', type: 'integer', nullable: true),
], type: 'object')]
final class ChangePreferences extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'theme' => ['sometimes', 'in:light,dark,field'],
            'units' => ['sometimes', 'in:metric,feet'],
            'stick_mode' => ['sometimes', 'integer', 'between:1,4'],
            'wheel_up' => ['sometimes', 'in:push,pull'], 'weekly_mail' => ['sometimes', 'boolean'],
            'goal_min' => ['sometimes', 'nullable', 'integer', 'between:1,600'],
        ];
    }
}
