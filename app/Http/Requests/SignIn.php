<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** Address and password of someone who signs in. */
#[OA\Schema(schema: 'SignIn', required: ['email', 'password'], properties: [
    new OA\Property(property: 'email', type: 'string', format: 'email'),
    new OA\Property(property: 'password', type: 'string'),
    new OA\Property(property: 'remember', type: 'boolean'),
    new OA\Property(property: 'code', description: 'of the second factor, where there is one', type: 'string', nullable: true),
], type: 'object')]
final class SignIn extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'email' => ['required', 'string', 'email', 'max:255'],
            'password' => ['required', 'string', 'max:255'],
            'remember' => ['boolean'],
            'code' => ['sometimes', 'nullable', 'string', 'max:20'],
        ];
    }

    /** @return array{email: string, password: string} */
    public function credentials(): array
    {
        return ['email' => $this->string('email')->lower()->toString(), 'password' => $this->string('password')->toString()];
    }
}
