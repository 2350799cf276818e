<?php

declare(strict_types=1);

namespace App\Documents;

use Documents\Document;
use Larkspur\Fact;
use Larkspur\Rig\Grip;
use Larkspur\Rig\Touch;

/** Takes of one version of a rig that were held alike. */
final readonly class HeldTakes implements Document
{
    /** @param  float  $score  their mean, points */
    public function __construct(public Fact|string $grip, public Fact|string $touch, public int $takes, public float $score)
    {
    }

    /** @param  array<string, mixed>  $row  grip, touch, many and score, as the database counts them */
    public static function of(array $row): self
    {
        return new self(
            (Grip::tryFrom((string) $row['grip']) ?? Grip::Thumbs)->words(),
            (Touch::tryFrom((string) $row['touch']) ?? Touch::Firm)->words(),
            (int) $row['many'], round((float) $row['score'], 1),
        );
    }
}
