<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\StepSaying;
use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** What is said of an operator's step: their own word, a sign-off, who stands by. */
#[OA\Schema(schema: 'SayOfStep', required: ['operator', 'kind'], properties: [
    new OA\Property(property: 'operator', type: 'integer'),
    new OA\Property(property: 'kind', type: 'string', enum: ['word', 'doubt', 'sign-off', 'withdrawal', 'supervisor']),
    new OA\Property(property: 'text', description: 'a reason, or who stands by', type: 'string', maxLength: 400),
    new OA\Property(property: 'overrule', description: 'signed off though the evidence is not enough', type: 'boolean'),
], type: 'object')]
final class SayOfStep extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'operator' => ['required', 'integer'],
            'kind' => ['required', 'in:'.implode(',', [
                StepSaying::WORD, StepSaying::DOUBT, StepSaying::SIGN_OFF, StepSaying::WITHDRAWAL, StepSaying::SUPERVISOR,
            ])],
            'text' => ['nullable', 'string', 'max:400', 'required_if:kind,withdrawal,supervisor', 'required_if_accepted:overrule'],
            'overrule' => ['sometimes', 'boolean'],
        ];
    }

    /** Whether it is said by the operator themselves rather than by a trainer. */
    public function isOwnWord(): bool
    {
        return in_array($this->string('kind')->toString(), [StepSaying::WORD, StepSaying::DOUBT], true);
    }
}
