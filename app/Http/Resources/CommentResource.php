<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\Comment;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

/**
 * What someone said about one moment of a take.
 *
 * @mixin Comment
 */
#[OA\Schema(schema: 'Comment', required: ['id', 'at_s', 'text', 'author', 'said_at'], properties: [
    new OA\Property(property: 'id', type: 'integer'),
    new OA\Property(property: 'at_s', type: 'number'),
    new OA\Property(property: 'text', type: 'string'),
    new OA\Property(property: 'author', type: 'string'),
    new OA\Property(property: 'said_at', type: 'string'),
], type: 'object')]
class CommentResource extends Resource
{
    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        return [
            'id' => $this->id,
            'at_s' => $this->at_s,
            'text' => $this->text,
            'author' => $this->author->name,
            'said_at' => $this->created_at->toIso8601String(),
        ];
    }
}
