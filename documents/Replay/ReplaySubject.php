<?php

declare(strict_types=1);

namespace Documents\Replay;

use Documents\Document;
use Larkspur\Geo\Position;

/** Where the subject stood, m about take-off. */
final readonly class ReplaySubject implements Document
{
    public function __construct(public float $eastM, public float $northM, public float $upM)
    {
    }

    public static function of(Position $place): self
    {
        return new self(round($place->east, 2), round($place->north, 2), round($place->up, 2));
    }
}
