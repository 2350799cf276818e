<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\Import;
use Illuminate\Http\Request;
use Larkspur\Move\Catalogue;
use Larkspur\Telemetry\ColumnMapping as Mapping;
use OpenApi\Attributes as OA;

/**
 * A log on its way in.
 *
 * @mixin Import
 */
#[OA\Schema(schema: 'Import', required: [
    'id', 'file_name', 'shot_id', 'state', 'bytes', 'bytes_read', 'message', 'place', 'expected', 'notes', 'takes', 'unsure', 'columns',
], properties: [
    new OA\Property(property: 'id', type: 'integer'),
    new OA\Property(property: 'file_name', type: 'string'),
    new OA\Property(property: 'shot_id', type: 'integer', nullable: true),
    new OA\Property(property: 'state', type: 'string', enum: ['waiting', 'reading', 'judging', 'columns', 'done', 'refused']),
    new OA\Property(property: 'bytes', type: 'integer'),
    new OA\Property(property: 'bytes_read', type: 'integer'),
    new OA\Property(property: 'message', type: 'string'),
    new OA\Property(property: 'place', type: 'string'),
    new OA\Property(property: 'expected', type: 'string'),
    new OA\Property(property: 'notes', type: 'array', items: new OA\Items(ref: '#/components/schemas/LogNote')),
    new OA\Property(property: 'takes', type: 'array', items: new OA\Items(type: 'integer')),
    new OA\Property(
        property: 'unsure', description: 'takes whose move the log does not tell', type: 'array',
        items: new OA\Items(ref: '#/components/schemas/UnsureTake'),
    ),
    new OA\Property(
        property: 'columns', ref: '#/components/schemas/ColumnQuestion', description: 'what has to be confirmed before it can be read',
        nullable: true,
    ),
], type: 'object')]
class ImportResource extends Resource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        $outcome = $this->speaker()->saidThroughout($this->outcome);

        return [
            'id' => $this->id,
            'file_name' => $this->file_name,
            'shot_id' => $this->shot_id,
            'state' => $this->state,
            'bytes' => $this->bytes,
            'bytes_read' => $this->bytes_read,
            'message' => $outcome['message'] ?? '',
            'place' => $outcome['place'] ?? '',
            'expected' => $outcome['expected'] ?? '',
            'notes' => $outcome['notes'] ?? [],
            'takes' => $outcome['takes'] ?? [],
            'unsure' => array_map(static fn (array $one): array => [
                ...$one,
                'candidates' => array_map(
                    static fn (string $move): array => ['id' => $move, 'name' => Catalogue::nameOf($move)], $one['candidates'],
                ),
            ], $outcome['unsure'] ?? []),
            'columns' => $this->state !== Import::COLUMNS ? null : [
                'headers' => $outcome['headers'] ?? [], 'guess' => (object) ($outcome['guess']['columns'] ?? []),
                'quantities' => Mapping::quantities(),
            ],
        ];
    }
}
