<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Larkspur\Telemetry\Reading;

/** How the places of a log are meant. */
final class SayReadingRequest extends FormRequest
{
    /** It is of another flight than its shot. */
    private const WITHOUT_PLAN = 'without-plan';

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['reading' => ['required', Rule::in([...array_column(Reading::cases(), 'value'), self::WITHOUT_PLAN])]];
    }

    /** Null where it is of another flight than its shot. */
    public function reading(): ?Reading
    {
        return Reading::tryFrom($this->string('reading')->toString());
    }
}
