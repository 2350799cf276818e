<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** A site as it was drawn, in metres about its take-off point. What it may be is core's to say. */
#[OA\Schema(schema: 'SiteForm', required: ['name', 'document', 'subjects'], properties: [
    new OA\Property(property: 'name', type: 'string', maxLength: 120),
    new OA\Property(property: 'about', type: 'string', maxLength: 500),
    new OA\Property(property: 'document', ref: '#/components/schemas/SiteDocument'),
    new OA\Property(property: 'subjects', type: 'array', items: new OA\Items(ref: '#/components/schemas/SiteSubject')),
    new OA\Property(property: 'version', description: 'that was worked on; of a site that exists', type: 'integer'),
], type: 'object')]
final class SiteForm extends FormRequest
{
    use CountsFirst;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:120'], 'about' => ['sometimes', 'nullable', 'string', 'max:500'],
            'document' => ['required', 'array'],
            'subjects' => ['present', 'array', 'max:60'], 'subjects.*' => ['array'], 'version' => ['sometimes', 'integer'],
        ];
    }

    /** @return array{name: string, about: string, document: array<string, mixed>, subjects: list<array<string, mixed>>} */
    public function drawn(): array
    {
        /** @var array{name: string, about?: ?string, document: array<string, mixed>, subjects: list<array<string, mixed>>} $drawn */
        $drawn = $this->safe(['name', 'about', 'document', 'subjects']);

        return [...$drawn, 'about' => $drawn['about'] ?? ''];
    }

    protected function most(): array
    {
        return ['subjects' => 60];
    }
}
