<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Larkspur\Telemetry\Reading;

/** How the places of a log are meant. */
final class SayReadingRequest extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['reading' => ['required', Rule::enum(Reading::class)]];
    }

    public function reading(): Reading
    {
        return Reading::from($this->string('reading')->toString());
    }
}
