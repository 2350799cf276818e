<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\Take;
use Illuminate\Http\Request;
use Larkspur\Move\Catalogue;
use OpenApi\Attributes as OA;

/**
 * A take as the logbook lists it.
 *
 * @mixin Take
 */
#[OA\Schema(schema: 'Take', required: [
    'id', 'operator', 'shot_id', 'title', 'move', 'mode', 'direction', 'flown_at', 'from_s', 'to_s', 'score', 'uncertainty', 'facets',
    'verdict', 'usable_s', 'decision', 'automated', 'comments',
], properties: [
    new OA\Property(property: 'id', type: 'integer'),
    new OA\Property(property: 'operator', ref: '#/components/schemas/Person'),
    new OA\Property(property: 'shot_id', type: 'integer', nullable: true),
    new OA\Property(property: 'title', type: 'string'),
    new OA\Property(property: 'move', type: 'string'),
    new OA\Property(property: 'mode', type: 'string'),
    new OA\Property(property: 'direction', type: 'string'),
    new OA\Property(property: 'flown_at', type: 'string'),
    new OA\Property(property: 'from_s', type: 'number'),
    new OA\Property(property: 'to_s', type: 'number'),
    new OA\Property(property: 'score', type: 'number'),
    new OA\Property(property: 'uncertainty', type: 'number'),
    new OA\Property(property: 'facets', ref: '#/components/schemas/Facets'),
    new OA\Property(property: 'verdict', type: 'string', enum: ['keep', 'fix', 'again']),
    new OA\Property(property: 'usable_s', type: 'number'),
    new OA\Property(property: 'decision', type: 'string', nullable: true),
    new OA\Property(property: 'automated', description: 'flown by automation for the most part; no credit to the hands', type: 'boolean'),
    new OA\Property(property: 'comments', type: 'integer'),
], type: 'object')]
class TakeResource extends Resource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        return [
            'id' => $this->id,
            'operator' => ['id' => $this->operator->id, 'name' => $this->operator->name],
            'shot_id' => $this->shot_id,
            'title' => $this->shot->title ?? Catalogue::nameOf($this->move),
            'move' => $this->move,
            'mode' => $this->mode,
            'direction' => $this->direction,
            'flown_at' => $this->flown_at->toIso8601String(),
            'from_s' => round($this->from_s, 1),
            'to_s' => round($this->to_s, 1),
            'score' => $this->score,
            'uncertainty' => $this->uncertainty,
            'facets' => $this->only(Take::FACETS),
            'verdict' => $this->verdict,
            'usable_s' => $this->usable_s,
            'decision' => $this->decision,
            'automated' => $this->automated ?? false,
            'comments' => (int) ($this->comments_count ?? 0),
        ];
    }
}
