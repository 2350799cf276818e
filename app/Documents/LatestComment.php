<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\Comment;
use Documents\Document;

/** The last word about a take of one's own. */
final readonly class LatestComment implements Document
{
    public function __construct(public int $takeId, public float $atS, public string $text, public string $author)
    {
    }

    public static function of(Comment $comment): self
    {
        return new self($comment->take_id, $comment->at_s, $comment->text, $comment->author->name);
    }
}
