<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** What a bearer token is for, what it may do, and how long it is good. */
#[OA\Schema(schema: 'NameToken', required: ['name', 'scope', 'days'], properties: [
    new OA\Property(property: 'name', type: 'string', maxLength: 80),
    new OA\Property(property: 'scope', description: 'look, or change things too', type: 'string', enum: ['read', 'write']),
    new OA\Property(property: 'days', description: 'until its end', type: 'integer', maximum: 366, minimum: 1),
], type: 'object')]
final class NameToken extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:80'], 'scope' => ['required', 'in:read,write'], 'days' => [
                'required', 'integer', 'between:1,366',
            ],
        ];
    }
}
