<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Larkspur\Fields;
use Larkspur\Scoring\JudgingStyle;
use OpenApi\Attributes as OA;

/** What a school chooses about judging. What each number may be is core's to say. */
#[OA\Schema(schema: 'ChooseJudging', required: ['crop_budget_percent', 'tolerances'], properties: [
    new OA\Property(property: 'crop_budget_percent', type: 'number'),
    new OA\Property(property: 'tolerances', ref: '#/components/schemas/Tolerance'),
], type: 'object')]
final class JudgingForm extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['crop_budget_percent' => ['required', 'numeric'], 'tolerances' => ['required', 'array']];
    }

    public function style(): JudgingStyle
    {
        return JudgingStyle::read(Fields::of($this->only(['crop_budget_percent', 'tolerances'])));
    }
}
