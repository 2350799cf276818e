<?php

declare(strict_types=1);

namespace Documents\Replay;

use Documents\Document;
use Larkspur\Geo\Position;

/** Where a subject that moves was at the times of the take, m about take-off. */
final readonly class SubjectTrack implements Document
{
    /**
     * @param  list<float>  $eastM
     * @param  list<float>  $northM
     */
    public function __construct(public array $eastM, public array $northM)
    {
    }

    /** @param  list<Position>  $places */
    public static function of(array $places): self
    {
        return new self(
            array_map(static fn (Position $place): float => round($place->east, 2), $places),
            array_map(static fn (Position $place): float => round($place->north, 2), $places),
        );
    }
}
