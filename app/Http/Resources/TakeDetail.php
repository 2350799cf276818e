<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Spoken;
use Illuminate\Http\Request;
use Larkspur\Controls\StickMode;
use OpenApi\Attributes as OA;

/** A take with its whole judgement, for the debrief. */
#[OA\Schema(schema: 'TakeDetail', allOf: [
    new OA\Schema(ref: '#/components/schemas/Take'),
    new OA\Schema(required: ['judgement', 'log', 'craft', 'rig_version', 'site_id', 'said'], properties: [
        new OA\Property(property: 'judgement', ref: '#/components/schemas/Score'),
        new OA\Property(property: 'log', required: ['file_name', 'source', 'samples', 'rate_hz', 'notes'], properties: [
            new OA\Property(property: 'file_name', type: 'string'),
            new OA\Property(property: 'source', type: 'string', enum: ['imported', 'simulated']),
            new OA\Property(property: 'samples', type: 'integer'), new OA\Property(property: 'rate_hz', type: 'number'),
            new OA\Property(property: 'notes', type: 'array', items: new OA\Items(ref: '#/components/schemas/LogNote')),
        ], type: 'object'),
        new OA\Property(property: 'craft', type: 'string'),
        new OA\Property(property: 'rig_version', type: 'integer', nullable: true),
        new OA\Property(property: 'site_id', type: 'integer', nullable: true),
        new OA\Property(property: 'said', type: 'array', items: new OA\Items(ref: '#/components/schemas/Comment')),
    ], type: 'object'),
])]
final class TakeDetail extends TakeResource
{
    public function toArray(Request $request): array
    {
        return [
            ...parent::toArray($request),
            'judgement' => $this->judgement === null ? null : $this->judged($this->judgement->document),
            'log' => [
                'file_name' => $this->log->file_name, 'source' => $this->log->source, 'samples' => $this->log->samples,
                'rate_hz' => $this->log->rate_hz, 'notes' => $this->speaker()->saidThroughout($this->log->notes),
            ],
            'craft' => $this->rig->craft ?? '',
            'rig_version' => $this->rig?->version,
            'site_id' => $this->shot?->site_id,
            'said' => CommentResource::collection($this->comments->sortBy('at_s')->values()),
        ];
    }

    /**
     * The judgement as it was kept, said to whoever reads it, of the thumbs of whoever flew.
     *
     * @param  array<string, mixed>  $kept
     * @return array<string, mixed>
     */
    private function judged(array $kept): array
    {
        $said = Spoken::to(StickMode::from($this->operator->stick_mode))->saidThroughout($kept);

        return [...$said, 'intent' => WrittenIntent::of($kept['intent'] ?? [])];
    }
}
