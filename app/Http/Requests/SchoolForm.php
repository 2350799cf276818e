<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** What a school is called, its clock, the units of whoever comes to it, and whether everyone needs a second factor. */
#[OA\Schema(schema: 'SchoolForm', required: ['name', 'zone', 'units', 'second_factor'], properties: [
    new OA\Property(property: 'name', type: 'string', maxLength: 120),
    new OA\Property(property: 'zone', type: 'string'),
    new OA\Property(property: 'units', type: 'string', enum: ['metric', 'feet']),
    new OA\Property(property: 'second_factor', type: 'boolean'),
], type: 'object')]
final class SchoolForm extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:120'], 'zone' => [
                'required', 'string', 'timezone:all',
            ], 'units' => ['required', 'in:metric,feet'],
            'second_factor' => ['required', 'boolean'],
        ];
    }
}
