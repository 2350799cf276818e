<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** A day at a site, and the draft of a shot there where the light on one is asked for. */
final class LightWanted extends PlanDraft
{
    public function rules(): array
    {
        $sometimes = ['sometimes', 'nullable', 'string', 'max:40'];

        return [
            ...parent::rules(), 'rig_id' => ['sometimes', 'integer'], 'mode' => $sometimes, 'move' => $sometimes,
            'date' => ['required', 'string', 'max:10'], 'light' => ['sometimes', 'nullable', 'array'],
        ];
    }
}
