<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** Which craft a move is shown with, and with which fault. Which faults there are is core's to say. */
final class AskLesson extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'rig_id' => ['required', 'integer'],
            'mode' => ['sometimes', 'in:slow,standard,fast'],
            'fault' => ['sometimes', 'nullable', 'string', 'max:40'],
        ];
    }
}
