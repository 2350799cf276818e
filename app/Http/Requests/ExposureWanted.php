<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Larkspur\Camera\ExposureWish;
use Larkspur\Fields;
use Larkspur\Measure\Angle;
use OpenApi\Attributes as OA;

/** What a camera is to be set for: the wish itself is read, and refused, by core/. */
#[OA\Schema(schema: 'ExposureWish', properties: [
    new OA\Property(property: 'fps', type: 'number'), new OA\Property(property: 'iso', type: 'number'),
    new OA\Property(property: 'aperture', type: 'number'),
    new OA\Property(
        property: 'scene', description: 'estimate, where there is no meter; by the sun where nothing is said', type: 'string', nullable: true,
    ),
    new OA\Property(property: 'meter_ev', description: 'EV at ISO 100', type: 'number', nullable: true),
    new OA\Property(property: 'meter_shutter', description: 'as a meter shows it: 1600 for 1/1600', type: 'number', nullable: true),
    new OA\Property(property: 'meter_iso', description: 'at which it shows it', type: 'number', nullable: true),
    new OA\Property(property: 'meter_aperture', type: 'number', nullable: true),
    new OA\Property(property: 'filters', description: 'factors in the bag', type: 'array', items: new OA\Items(type: 'number')),
    new OA\Property(property: 'kelvin', type: 'number', nullable: true), new OA\Property(property: 'automatic_white', type: 'boolean'),
    new OA\Property(property: 'angle_deg', type: 'number'),
    new OA\Property(property: 'clipped', description: 'percent of the picture against the right edge', type: 'number'),
    new OA\Property(property: 'crushed', description: 'percent against the left edge', type: 'number'),
], type: 'object')]
#[OA\Schema(schema: 'ExposureWanted', required: ['rig_id'], allOf: [
    new OA\Schema(ref: '#/components/schemas/ExposureWish'),
    new OA\Schema(required: ['rig_id'], properties: [
        new OA\Property(property: 'rig_id', type: 'integer'),
        new OA\Property(property: 'sun_deg', description: 'how high the sun stands as it is flown', type: 'number', nullable: true),
    ], type: 'object'),
])]
final class ExposureWanted extends FormRequest
{
    use CountsFirst;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return ['rig_id' => ['required', 'integer'], 'sun_deg' => ['sometimes', 'nullable', 'numeric', 'between:-90,90']];
    }

    public function wish(): ExposureWish
    {
        $said = array_filter((array) $this->json()->all(), static fn (mixed $one): bool => $one !== null);

        return ExposureWish::read(Fields::of(array_diff_key($said, ['rig_id' => 1, 'sun_deg' => 1])));
    }

    /** Elevation of the sun, rad. */
    public function sun(): ?float
    {
        return $this->filled('sun_deg') ? $this->float('sun_deg') * Angle::DEGREE : null;
    }

    protected function most(): array
    {
        return ['filters' => 20];
    }
}
