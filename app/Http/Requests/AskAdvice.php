<?php

declare(strict_types=1);

namespace App\Http\Requests;

use OpenApi\Attributes as OA;

/** For which shots, in which mode and house settings are recommended. */
#[OA\Schema(schema: 'AskAdvice', required: ['mode', 'shots'], properties: [
    new OA\Property(property: 'mode', type: 'string', enum: ['slow', 'standard', 'fast']),
    new OA\Property(property: 'settings', ref: '#/components/schemas/RigSettings'),
    new OA\Property(property: 'shots', type: 'array', items: new OA\Items(type: 'integer')),
    new OA\Property(
        property: 'house', description: 'the operator’s or the school’s where left out', type: 'string',
        enum: ['limit-the-machine', 'middle', 'trust-the-fingers'],
    ),
], type: 'object')]
final class AskAdvice extends RigReading
{
    use CountsFirst;

    public function rules(): array
    {
        return [
            ...parent::rules(), 'shots' => ['required', 'array', 'min:1', 'max:40'], 'shots.*' => ['integer'],
            'house' => ['sometimes', 'in:limit-the-machine,middle,trust-the-fingers'],
        ];
    }

    protected function most(): array
    {
        return ['shots' => 40];
    }
}
