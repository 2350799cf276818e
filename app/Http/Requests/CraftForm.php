<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** A craft as it is entered. What its numbers may be is core's to say. */
#[OA\Schema(schema: 'CraftForm', required: ['document'], properties: [
    new OA\Property(property: 'document', ref: '#/components/schemas/CraftDocument'),
    new OA\Property(property: 'version', description: 'of the craft that was worked on; not of a new one', type: 'integer'),
    new OA\Property(
        property: 'measured', description: 'fits that the numbers come from, by mode', type: 'object', nullable: true,
        additionalProperties: new OA\AdditionalProperties(type: 'array', items: new OA\Items(ref: '#/components/schemas/StepFit')),
    ),
], type: 'object')]
final class CraftForm extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'document' => ['required', 'array'], 'version' => ['sometimes', 'integer'], 'measured' => ['sometimes', 'nullable', 'array'],
        ];
    }

    /** @return array<string, mixed> */
    public function document(): array
    {
        /** @var array<string, mixed> $document */
        $document = $this->input('document');

        return $document;
    }

    /** @return ?array<string, mixed> */
    public function measured(): ?array
    {
        /** @var ?array<string, mixed> $measured */
        $measured = $this->input('measured');

        return $measured;
    }
}
