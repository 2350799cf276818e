<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** A comment on one moment of a take. */
final class CommentRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'at_s' => ['required', 'numeric', 'between:-1e6,1e7'],
            'text' => ['required', 'string', 'max:2000'],
        ];
    }
}
