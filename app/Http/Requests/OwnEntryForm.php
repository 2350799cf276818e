<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Carbon;
use OpenApi\Attributes as OA;

/** A flight without a log. */
#[OA\Schema(schema: 'OwnEntryForm', required: ['flown_at', 'minutes'], properties: [
    new OA\Property(property: 'flown_at', type: 'string', format: 'date-time'), new OA\Property(property: 'minutes', type: 'number'),
    new OA\Property(property: 'batteries', type: 'integer'), new OA\Property(property: 'craft', type: 'string', maxLength: 80),
    new OA\Property(property: 'place', type: 'string', maxLength: 120),
    new OA\Property(property: 'text', type: 'string', maxLength: 1000),
], type: 'object')]
final class OwnEntryForm extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'flown_at' => ['bail', 'required', 'string', 'date', 'after:1990-01-01', 'before:tomorrow'],
            'minutes' => ['required', 'numeric', 'between:0,1440'],
            'batteries' => ['sometimes', 'nullable', 'integer', 'between:0,100'], 'craft' => ['sometimes', 'nullable', 'string', 'max:80'],
            'place' => ['sometimes', 'nullable', 'string', 'max:120'], 'text' => ['sometimes', 'nullable', 'string', 'max:1000'],
        ];
    }

    /** @return array<string, mixed> */
    public function entry(): array
    {
        return [
            'flown_at' => Carbon::parse($this->string('flown_at')->toString())->utc(), 'minutes' => $this->float('minutes'),
            'batteries' => $this->integer('batteries'), 'craft' => $this->string('craft')->trim()->toString(),
            'place' => $this->string('place')->trim()->toString(), 'text' => $this->string('text')->trim()->toString(),
        ];
    }
}
