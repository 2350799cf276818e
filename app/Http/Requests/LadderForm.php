<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Larkspur\Fields;
use Larkspur\Training\Ladder\Ladder;
use OpenApi\Attributes as OA;

/** A ladder as a school edits it. */
#[OA\Schema(schema: 'LadderCriterion', required: [
    'score', 'facets', 'passes', 'of', 'days', 'both_ways', 'slow_too', 'two_distances', 'without', 'kind', 'own_word', 'sign_off',
], properties: [
    new OA\Property(property: 'score', type: 'number', minimum: 0, maximum: 100),
    new OA\Property(property: 'facets', type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'number')),
    new OA\Property(property: 'passes', type: 'integer'), new OA\Property(property: 'of', type: 'integer'),
    new OA\Property(property: 'days', type: 'integer'), new OA\Property(property: 'both_ways', type: 'boolean'),
    new OA\Property(property: 'slow_too', type: 'boolean'), new OA\Property(property: 'two_distances', type: 'boolean'),
    new OA\Property(property: 'without', type: 'array', items: new OA\Items(type: 'string')),
    new OA\Property(property: 'kind', type: 'string', enum: ['real', 'practised', 'either']),
    new OA\Property(property: 'own_word', type: 'boolean'), new OA\Property(property: 'sign_off', type: 'boolean'),
], type: 'object')]
#[OA\Schema(schema: 'LadderSheet', required: ['steps'], properties: [new OA\Property(property: 'steps', type: 'array', items: new OA\Items(
    required: ['id', 'title', 'moves', 'level', 'needs', 'criterion', 'supervised'], properties: [
        new OA\Property(property: 'id', type: 'string'), new OA\Property(property: 'title', type: 'string'),
        new OA\Property(property: 'moves', type: 'array', items: new OA\Items(type: 'string')),
        new OA\Property(property: 'level', type: 'integer'),
        new OA\Property(property: 'needs', type: 'array', items: new OA\Items(type: 'string')),
        new OA\Property(property: 'criterion', ref: '#/components/schemas/LadderCriterion'),
        new OA\Property(property: 'supervised', type: 'boolean'),
    ], type: 'object',
))], type: 'object')]
#[OA\Schema(schema: 'LadderForm', required: ['document', 'version', 'reason'], properties: [
    new OA\Property(property: 'document', ref: '#/components/schemas/LadderSheet'),
    new OA\Property(property: 'version', description: 'the one that was worked on', type: 'integer'),
    new OA\Property(property: 'reason', type: 'string', maxLength: 400),
], type: 'object')]
final class LadderForm extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'document' => ['required', 'array:steps'], 'document.steps' => ['required', 'array', 'max:120'],
            'version' => ['required', 'integer', 'min:0'],
            // To look at what it would do needs no reason; to keep it does.
            'reason' => [$this->isMethod('PUT') ? 'required' : 'nullable', 'string', 'max:400'],
        ];
    }

    public function ladder(): Ladder
    {
        return Ladder::read(Fields::of($this->array('document'), 'document'));
    }
}
