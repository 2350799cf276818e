<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\Comment;
use Documents\Document;

/** A word about a moment of a take. */
final readonly class CommentDocument implements Document
{
    public function __construct(
        public int $id,
        public float $atS,
        public string $text,
        public string $author,
        public string $saidAt,
    ) {
    }

    public static function of(Comment $comment): self
    {
        return new self($comment->id, $comment->at_s, $comment->text, $comment->author->name, $comment->created_at->toIso8601String());
    }
}
