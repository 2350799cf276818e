<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Larkspur\Fields;
use Larkspur\Flight\OperatorHabits;
use Larkspur\Flight\Slip;
use Larkspur\Site\Wind;
use OpenApi\Attributes as OA;

/** Who flies a shot, in what wind, from which seed. */
#[OA\Schema(schema: 'FlyRequest', required: ['operator', 'seed'], properties: [
    new OA\Property(
        property: 'operator', type: 'string',
        enum: ['steady', 'hurried', 'flicker', 'drifter', 'novice', 'beginner', 'intermediate', 'advanced', 'expert'],
    ),
    new OA\Property(
        property: 'slips', description: 'faults put in on purpose, each at its moment', type: 'array',
        items: new OA\Items(ref: '#/components/schemas/Slip'),
    ),
    new OA\Property(property: 'positioning', description: 'whether the craft holds its place by itself; true where left out', type: 'boolean'),
    new OA\Property(property: 'seed', type: 'integer'),
    new OA\Property(property: 'wind', ref: '#/components/schemas/Wind', nullable: true),
], type: 'object')]
final class FlyRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'operator' => ['required', 'in:'.implode(',', [...OperatorHabits::NAMES, ...OperatorHabits::LEVELS])],
            'slips' => ['sometimes', 'array', 'max:12'],
            'positioning' => ['sometimes', 'boolean'],
            'seed' => ['required', 'integer', 'between:1,999999999'],
            'wind' => ['sometimes', 'nullable', 'array'],
        ];
    }

    /** @return list<Slip> */
    public function slips(): array
    {
        return array_map(Slip::read(...), Fields::of(['slips' => $this->input('slips', [])])->groups('slips'));
    }

    public function wind(): Wind
    {
        $wind = $this->input('wind');

        return Wind::read($wind === null ? null : Fields::of($wind, 'wind'));
    }
}
