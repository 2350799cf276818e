<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Larkspur\FlightDay\Batteries;
use Larkspur\FlightDay\Day;
use Larkspur\FlightDay\DayLimits;
use Larkspur\FlightDay\ReturnHeight;
use OpenApi\Attributes as OA;

/** A day of flying as it was filled in. */
#[OA\Schema(schema: 'DayDocument', required: ['from', 'to', 'batteries', 'shots'], properties: [
    new OA\Property(property: 'from', description: 'on the site’s clock, such as 08:30; hours past 24 lie on the next day', type: 'string'),
    new OA\Property(property: 'to', type: 'string'),
    new OA\Property(property: 'batteries', required: ['count', 'minutes'], properties: [
        new OA\Property(property: 'count', type: 'integer'), new OA\Property(property: 'minutes', type: 'number'),
        new OA\Property(property: 'reserve', type: 'number'), new OA\Property(property: 'temperature_c', type: 'number'),
    ], type: 'object'),
    new OA\Property(property: 'swap_min', type: 'number'),
    new OA\Property(property: 'return_margin_m', type: 'number'),
    new OA\Property(property: 'weather', ref: '#/components/schemas/DayWeather', nullable: true),
    new OA\Property(property: 'shots', type: 'array', items: new OA\Items(ref: '#/components/schemas/DayShot')),
    new OA\Property(property: 'filters', type: 'array', items: new OA\Items(type: 'number')),
    new OA\Property(property: 'kelvins', type: 'array', items: new OA\Items(type: 'integer')),
    new OA\Property(property: 'only_must', type: 'boolean'),
    new OA\Property(property: 'replanned', description: 'passes that were flown already are left out', type: 'boolean'),
    new OA\Property(property: 'permission', ref: '#/components/schemas/DayPermission'),
], type: 'object')]
#[OA\Schema(schema: 'DayShot', required: ['shot_id'], properties: [
    new OA\Property(property: 'shot_id', type: 'integer'), new OA\Property(property: 'passes', type: 'integer'),
    new OA\Property(property: 'must', type: 'boolean'),
], type: 'object')]
#[OA\Schema(schema: 'DayWeather', required: ['from_deg', 'mean_mps', 'gust_mps'], properties: [
    new OA\Property(property: 'from_deg', type: 'number'), new OA\Property(property: 'mean_mps', type: 'number'),
    new OA\Property(property: 'gust_mps', type: 'number'),
    new OA\Property(property: 'source', type: 'string'), new OA\Property(property: 'simulated', type: 'boolean'),
], type: 'object')]
#[OA\Schema(schema: 'DayPermission', description: 'fields to be filled, never assumed', properties: [
    new OA\Property(property: 'airspace', type: 'string'), new OA\Property(property: 'authority', type: 'string'),
    new OA\Property(property: 'owner', type: 'string'),
    new OA\Property(property: 'rule_source', type: 'string'), new OA\Property(property: 'rule_date', type: 'string'),
], type: 'object')]
#[OA\Schema(schema: 'DayForm', required: ['title', 'date', 'site_id', 'document'], properties: [
    new OA\Property(property: 'title', type: 'string', maxLength: 120), new OA\Property(property: 'date', type: 'string'),
    new OA\Property(property: 'purpose', description: 'what the day is for; asked before it is opened in the field', type: 'string', maxLength: 400),
    new OA\Property(property: 'site_id', type: 'integer'),
    new OA\Property(property: 'operator_id', description: 'whose day it is; a trainer’s to say', type: 'integer', nullable: true),
    new OA\Property(property: 'document', ref: '#/components/schemas/DayDocument'),
    new OA\Property(property: 'version', description: 'that was worked on; of a day that exists', type: 'integer'),
], type: 'object')]
final class DayForm extends FormRequest
{
    use CountsFirst;

    private const TIME = 'regex:/^[0-3]\d:[0-5]\d$/';

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            ...self::limits(),
            'title' => ['required', 'string', 'max:120'], 'purpose' => ['sometimes', 'nullable', 'string', 'max:400'],
            'date' => ['bail', 'required', 'string', 'date_format:Y-m-d', 'after:2000-01-01', 'before:2200-01-01'],
            'site_id' => ['required', 'integer'],
            'operator_id' => ['sometimes', 'nullable', 'integer'], 'version' => ['sometimes', 'integer'],
            'document' => ['required', 'array'], 'document.from' => ['required', 'string', self::TIME],
            'document.to' => ['required', 'string', self::TIME],
            'document.batteries' => ['required', 'array'], 'document.weather' => ['sometimes', 'nullable', 'array'],
            'document.weather.source' => ['sometimes', 'string', 'max:80'], 'document.weather.simulated' => ['sometimes', 'boolean'],
            'document.shots' => ['present', 'array', 'max:60'], 'document.shots.*.shot_id' => ['required', 'integer'],
            'document.shots.*.must' => ['sometimes', 'boolean'],
            'document.filters' => ['sometimes', 'array', 'max:12'], 'document.filters.*' => ['numeric', 'between:1,100000'],
            'document.kelvins' => ['sometimes', 'array', 'max:12'], 'document.kelvins.*' => ['integer', 'between:2000,12000'],
            'document.only_must' => ['sometimes', 'boolean'], 'document.replanned' => ['sometimes', 'boolean'],
            'document.permission' => ['sometimes', 'array'], 'document.permission.*' => ['nullable', 'string', 'max:300'],
        ];
    }

    /** @return array<string, list<string>> of every number, by its place */
    private static function limits(): array
    {
        $rules = [];
        foreach (DayLimits::PLACES as $place => $limits) {
            $whole = in_array($place, ['batteries.count', 'shots.*.passes'], true);
            $rules["document.$place"] = [
                in_array($place, ['batteries.count', 'batteries.minutes'], true) ? 'required' : 'sometimes',
                $whole ? 'integer' : 'numeric', 'between:'.implode(',', $limits),
            ];
        }

        return $rules;
    }

    /**
     * The document, what was left out filled in as core/ has it.
     *
     * @return array<string, mixed>
     */
    public function document(): array
    {
        /** @var array{document: array{batteries: array<string, mixed>, ...<string, mixed>}} $valid */
        $valid = $this->safe(['document']);
        $document = $valid['document'];
        $document['batteries'] += ['reserve' => Batteries::RESERVE, 'temperature_c' => Batteries::WARM];
        $document += ['swap_min' => Day::SWAP / 60, 'return_margin_m' => ReturnHeight::MARGIN];
        if (is_array($document['permission'] ?? null)) {
            $document['permission'] = array_map(static fn (mixed $text): string => is_string($text) ? $text : '', $document['permission']);
        }

        return $document;
    }

    protected function most(): array
    {
        return ['document.shots' => 60, 'document.filters' => 12, 'document.kelvins' => 12, 'document.permission' => 12];
    }
}
