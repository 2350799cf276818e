<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\DayEntry;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Carbon;
use Illuminate\Validation\Rule;
use OpenApi\Attributes as OA;

/** What was entered in the field since the last time there was a network. */
#[OA\Schema(schema: 'FieldEntry', required: ['uuid', 'kind', 'item', 'payload', 'device', 'made_at'], properties: [
    new OA\Property(property: 'uuid', type: 'string'),
    new OA\Property(property: 'kind', type: 'string', enum: ['tick', 'pass', 'battery', 'correction', 'decision']),
    new OA\Property(property: 'item', type: 'string'),
    new OA\Property(property: 'payload', properties: [
        new OA\Property(property: 'on', type: 'boolean'), new OA\Property(property: 'number', type: 'integer'),
        new OA\Property(property: 'verdict', type: 'string', enum: ['kept', 'again', 'dropped']),
        new OA\Property(property: 'note', type: 'string'),
        new OA\Property(property: 'choice', description: 'of a decision', type: 'string', enum: ['go', 'wait', 'scrap']),
        new OA\Property(
            property: 'flown_s', description: 'of a battery on the ground: what it has flown in all, where its clock is wrong', type: 'number',
        ),
        new OA\Property(property: 'of', description: 'of a correction: the uuid of the pass', type: 'string'),
    ], type: 'object'),
    new OA\Property(property: 'device', type: 'string'), new OA\Property(property: 'made_at', type: 'string'),
], type: 'object')]
#[OA\Schema(
    schema: 'FieldEntries', required: ['entries'],
    properties: [
        new OA\Property(property: 'entries', type: 'array', items: new OA\Items(ref: '#/components/schemas/FieldEntry')),
        new OA\Property(
            property: 'sent_at', description: 'by the clock of the device as it sends: how far that is off is put right', type: 'string',
        ),
    ],
    type: 'object',
)]
final class FieldEntries extends FormRequest
{
    use CountsFirst;

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            'sent_at' => ['sometimes', 'bail', 'string', 'date', 'after:2000-01-01'],
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

    /** By how much the clock of the device is behind, s: what it says of its entries is put right by as much. */
    public function behind(): float
    {
        return $this->filled('sent_at')
            ? (float) now()->format('U.v') - (float) Carbon::parse($this->string('sent_at')->toString())->utc()->format('U.v')
            : 0.0;
    }

    protected function most(): array
    {
        return ['entries' => 500];
    }
}
