<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** Which takes are asked for. */
final class TakeList extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'operator' => ['sometimes', 'integer'],
            'shot' => ['sometimes', 'integer'],
            'craft' => ['sometimes', 'integer'],
            'cursor' => ['sometimes', 'nullable', 'string', 'max:400'],
        ];
    }
}
