<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\Shot;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

/**
 * A shot that was kept.
 *
 * @mixin Shot
 */
#[OA\Schema(schema: 'Shot', required: [
    'id', 'title', 'operator', 'site_id', 'site', 'rig_id', 'craft', 'rig_version', 'mode', 'move', 'intent', 'subject_id', 'subject_at',
    'wind', 'brief', 'takes', 'updated_at',
], properties: [
    new OA\Property(property: 'id', type: 'integer'),
    new OA\Property(property: 'title', type: 'string'),
    new OA\Property(property: 'operator', ref: '#/components/schemas/Person'),
    new OA\Property(property: 'site_id', type: 'integer'),
    new OA\Property(property: 'site', type: 'string'),
    new OA\Property(property: 'rig_id', type: 'integer'),
    new OA\Property(property: 'craft', type: 'string'),
    new OA\Property(property: 'rig_version', type: 'integer'),
    new OA\Property(property: 'mode', type: 'string', enum: ['slow', 'standard', 'fast']),
    new OA\Property(property: 'move', type: 'string'),
    new OA\Property(property: 'intent', ref: '#/components/schemas/Intent'),
    new OA\Property(property: 'subject_id', type: 'string', nullable: true),
    new OA\Property(property: 'subject_at', ref: '#/components/schemas/OwnPlace', nullable: true),
    new OA\Property(property: 'wind', ref: '#/components/schemas/Wind'),
    new OA\Property(property: 'brief', ref: '#/components/schemas/Brief'),
    new OA\Property(property: 'takes', type: 'integer'),
    new OA\Property(property: 'updated_at', type: 'string'),
], type: 'object')]
class ShotResource extends Resource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        return [
            'id' => $this->id,
            'title' => $this->title,
            'operator' => ['id' => $this->operator->id, 'name' => $this->operator->name],
            'site_id' => $this->site_id,
            'site' => $this->site->name,
            'rig_id' => $this->rig_id,
            'craft' => $this->rig->craft,
            'rig_version' => $this->rig->version,
            'mode' => $this->mode,
            'move' => $this->move,
            'intent' => WrittenIntent::of($this->intent),
            'subject_id' => $this->subjectId(),
            'subject_at' => $this->subjectAt(),
            'wind' => $this->wind,
            'brief' => $this->brief()->toArray(),
            'takes' => (int) ($this->takes_count ?? 0),
            'updated_at' => $this->updated_at->toIso8601String(),
        ];
    }
}
