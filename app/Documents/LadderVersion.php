<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\Ladder;
use Documents\Document;

/** Who made a version of the ladder, when and why. */
final readonly class LadderVersion implements Document
{
    public function __construct(public int $version, public string $author, public string $reason, public string $at)
    {
    }

    public static function of(Ladder $ladder): self
    {
        return new self($ladder->version, $ladder->author->name ?? '', $ladder->reason, $ladder->created_at->toIso8601ZuluString());
    }
}
