<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

/** Settings as they stand on the page, and what is asked about them. What they may be is core's to say. */
class RigReading extends FormRequest
{
    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'mode' => ['required', 'in:slow,standard,fast'],
            'settings' => ['sometimes', 'nullable', 'array'],
            'drag' => ['sometimes', 'nullable', 'array'],
            'cushion' => ['sometimes', 'nullable', 'array'],
            'focal_mm' => ['sometimes', 'nullable', 'numeric'],
            'distance_m' => ['sometimes', 'numeric', 'between:1,500'],
        ];
    }

    /** @return ?array<string, mixed> */
    public function settings(): ?array
    {
        /** @var ?array<string, mixed> $settings */
        $settings = $this->input('settings');

        return is_array($settings) ? $settings : null;
    }

    /** @return ?array{finger: string, travel: float, output: float, kind?: ?string} */
    public function drag(): ?array
    {
        /** @var ?array{finger: string, travel: float, output: float, kind?: ?string} $drag */
        $drag = $this->input('drag');

        return is_array($drag) ? $drag : null;
    }

    /** @return ?array{finger: string, seconds: float} */
    public function cushion(): ?array
    {
        /** @var ?array{finger: string, seconds: float} $cushion */
        $cushion = $this->input('cushion');

        return is_array($cushion) ? $cushion : null;
    }

    public function focal(): ?float
    {
        return $this->filled('focal_mm') ? $this->float('focal_mm') : null;
    }
}
