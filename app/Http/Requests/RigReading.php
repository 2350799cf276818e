<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use OpenApi\Attributes as OA;

/** Settings as they stand on the page, and what is asked about them. What they may be is core's to say. */
#[OA\Schema(schema: 'RigDraft', required: ['mode'], properties: [
    new OA\Property(property: 'mode', type: 'string', enum: ['slow', 'standard', 'fast']),
    new OA\Property(property: 'settings', description: 'the saved ones where left out', ref: '#/components/schemas/RigSettings'),
    new OA\Property(property: 'drag', description: 'a point that the curve of a finger is pulled through; travel and share of the full rate', required: ['finger', 'travel', 'output'], properties: [
        new OA\Property(property: 'finger', type: 'string'), new OA\Property(property: 'travel', type: 'number'), new OA\Property(property: 'output', type: 'number'), new OA\Property(property: 'kind', type: 'string'),
    ], type: 'object'),
    new OA\Property(property: 'cushion', description: 'seconds in which a turn or a tilt is to be there', required: ['finger', 'seconds'], properties: [
        new OA\Property(property: 'finger', type: 'string', enum: ['turn', 'tilt']), new OA\Property(property: 'seconds', type: 'number'),
    ], type: 'object'),
    new OA\Property(property: 'focal_mm', type: 'number', nullable: true),
    new OA\Property(property: 'distance_m', description: 'from how far off a plain move is looked at', type: 'number'),
], type: 'object')]
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
