<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Accounts\GoodPassword;
use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** A school of one's own, and the trainer who begins it. */
#[OA\Schema(schema: 'SetUpForm', required: ['code', 'school', 'zone', 'units', 'name', 'email', 'password'], properties: [
    new OA\Property(property: 'code', description: 'as bin/start printed it', type: 'string'),
    new OA\Property(property: 'school', type: 'string', maxLength: 120),
    new OA\Property(property: 'zone', type: 'string'),
    new OA\Property(property: 'units', type: 'string', enum: ['metric', 'feet']),
    new OA\Property(property: 'name', type: 'string', maxLength: 120),
    new OA\Property(property: 'email', type: 'string', format: 'email'),
    new OA\Property(property: 'password', type: 'string', minLength: GoodPassword::SHORTEST),
], type: 'object')]
final class SetUpForm extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        $said = fn (string $field): string => is_string($this->input($field)) ? $this->input($field) : '';

        return [
            'code' => ['required', 'string', 'max:100'], 'school' => ['required', 'string', 'max:120'], 'zone' => [
                'required', 'string', 'timezone:all',
            ],
            'units' => ['required', 'in:metric,feet'], 'name' => ['required', 'string', 'max:120'],
            'email' => ['required', 'string', 'email', 'max:255', 'unique:users,email'],
            'password' => ['required', 'string', new GoodPassword(GoodPassword::wordsOf($said('name'), $said('email'), $said('school')))],
        ];
    }

    /** @return array{string, string, 'metric'|'feet', string, string, string} school, zone, units, name, address, password */
    public function filledIn(): array
    {
        $text = fn (string $field): string => $this->string($field)->trim()->toString();

        return [
            $text('school'), $text('zone'), $text('units') === 'feet' ? 'feet' : 'metric', $text('name'), $text('email'),
            $this->string('password')->toString(),
        ];
    }
}
