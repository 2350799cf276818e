<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\DayEntry;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;

/** What was entered in the field since the last time there was a network. */
#[OA\Schema(schema: 'FieldEntry', required: ['uuid', 'kind', 'item', 'payload', 'device', 'made_at'], properties: [
    new OA\Property(property: 'uuid', type: 'string'), new OA\Property(property: 'kind', type: 'string', enum: ['tick', 'pass', 'battery']),
    new OA\Property(property: 'item', type: 'string'),
    new OA\Property(property: 'payload', properties: [
        new OA\Property(property: 'on', type: 'boolean'), new OA\Property(property: 'number', type: 'integer'),
        new OA\Property(property: 'verdict', type: 'string', enum: ['kept', 'again', 'dropped']),
        new OA\Property(property: 'note', type: 'string'),
    ], type: 'object'),
    new OA\Property(property: 'device', type: 'string'), new OA\Property(property: 'made_at', type: 'string'),
], type: 'object')]
#[OA\Schema(
    schema: 'FieldEntries', required: ['entries'],
    properties: [new OA\Property(property: 'entries', type: 'array', items: new OA\Items(ref: '#/components/schemas/FieldEntry'))],
    type: 'object',
)]
final class FieldEntries extends FormRequest
{
    use CountsFirst;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'entries' => ['present', 'array', 'max:500'], 'entries.*.uuid' => ['required', 'uuid'],
            'entries.*.kind' => ['required', Rule::in(DayEntry::KINDS)], 'entries.*.item' => ['required', 'string', 'max:80'],
            'entries.*.payload' => ['present', 'array'], 'entries.*.device' => ['required', 'string', 'max:40'],
            'entries.*.made_at' => ['bail', 'required', 'string', 'date', 'after:2000-01-01'],
        ];
    }

    /** @return list<array{uuid: string, kind: string, item: string, payload: array<string, mixed>, device: string, made_at: string}> */
    public function entries(): array
    {
        /**
         * @var array{
         * entries: list<array{uuid: string, kind: string, item: string, payload: array<string, mixed>, device: string, made_at: string}>,
         * } $valid
         */
        $valid = $this->safe(['entries']);

        return $valid['entries'];
    }

    protected function most(): array
    {
        return ['entries' => 500];
    }
}
