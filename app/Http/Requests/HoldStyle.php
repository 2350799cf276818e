<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Larkspur\Fields;
use Larkspur\Training\HouseStyle;
use OpenApi\Attributes as OA;

/** What is held where practitioners disagree; what is left out stays as it was. */
#[OA\Schema(schema: 'HoldStyle', properties: [
    new OA\Property(property: 'automation', type: 'string', enum: ['hand', 'welcome']),
    new OA\Property(property: 'slow', type: 'boolean'), new OA\Property(property: 'passes', type: 'integer', maximum: 6, minimum: 1),
    new OA\Property(property: 'most_gust_mps', type: 'number', maximum: 20, minimum: 0),
    new OA\Property(property: 'as_school', description: 'of an operator: nothing is held otherwise any more', type: 'boolean'),
], type: 'object')]
final class HoldStyle extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['operator' => ['sometimes', 'integer'], 'as_school' => ['sometimes', 'boolean']];
    }

    public function style(HouseStyle $else): HouseStyle
    {
        return HouseStyle::read(Fields::of($this->only(['automation', 'slow', 'passes', 'most_gust_mps'])), $else);
    }
}
