<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Larkspur\Camera\Scene;
use OpenApi\Attributes as OA;

/** What a camera is to be set for. */
#[OA\Schema(schema: 'ExposureWanted', required: ['rig_id'], properties: [
    new OA\Property(property: 'rig_id', type: 'integer'), new OA\Property(property: 'fps', type: 'number'),
    new OA\Property(property: 'iso', type: 'number'), new OA\Property(property: 'aperture', type: 'number'),
    new OA\Property(property: 'scene', description: 'estimate, where there is no meter', type: 'string'),
    new OA\Property(property: 'meter_ev', description: 'EV at ISO 100', type: 'number', nullable: true),
    new OA\Property(property: 'filters', description: 'factors in the bag', type: 'array', items: new OA\Items(type: 'number')),
    new OA\Property(property: 'kelvin', type: 'integer', nullable: true), new OA\Property(property: 'automatic_white', type: 'boolean'),
    new OA\Property(property: 'angle_deg', type: 'number'),
    new OA\Property(property: 'clipped', description: 'percent of the picture against the right edge', type: 'number'),
], type: 'object')]
final class ExposureWanted extends FormRequest
{
    use CountsFirst;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'rig_id' => ['required', 'integer'], 'fps' => ['sometimes', 'numeric', 'between:1,1000'],
            'iso' => ['sometimes', 'numeric', 'between:25,204800'], 'aperture' => ['sometimes', 'numeric', 'between:0.7,45'],
            'scene' => ['sometimes', Rule::enum(Scene::class)], 'meter_ev' => ['sometimes', 'nullable', 'numeric', 'between:-8,22'],
            'filters' => ['sometimes', 'array', 'max:20'], 'filters.*' => ['numeric', 'between:1,100000'],
            'kelvin' => ['sometimes', 'nullable', 'integer', 'between:2000,12000'], 'automatic_white' => ['sometimes', 'boolean'],
            'angle_deg' => ['sometimes', 'numeric', 'between:5,360'], 'clipped' => ['sometimes', 'numeric', 'between:0,100'],
        ];
    }

    /**
     * @return array{
     *     scene?: ?string, filters?: ?list<int|float>, fps?: ?float, iso?: ?float, aperture?: ?float, meter_ev?: ?float, kelvin?: ?int,
     *     automatic_white?: ?bool, angle_deg?: ?float, clipped?: ?float,
     * }
     */
    public function wanted(): array
    {
        /**
         * @var array{
         *     scene?: ?string, filters?: ?list<int|float>, fps?: ?float, iso?: ?float, aperture?: ?float, meter_ev?: ?float, kelvin?: ?int,
         *     automatic_white?: ?bool, angle_deg?: ?float, clipped?: ?float,
         * } $wanted
         */
        $wanted = array_diff_key((array) $this->validated(), ['rig_id' => 1]);

        return $wanted;
    }

    protected function most(): array
    {
        return ['filters' => 20];
    }
}
