<?php

declare(strict_types=1);

namespace Documents\Plan;

use Documents\Document;
use Larkspur\Geo\MovingPoint;
use Larkspur\Geo\Position;

/** Where a subject that moves is at the times of the samples, m. */
final readonly class SubjectWay implements Document
{
    /**
     * @param  list<float>  $eastM
     * @param  list<float>  $northM
     * @param  list<float>  $upM
     */
    public function __construct(
        public array $eastM,
        public array $northM,
        public array $upM,
    ) {
    }

    /** @param  list<float>  $times */
    public static function of(MovingPoint $subject, array $times): self
    {
        $places = array_map($subject->at(...), $times);

        return new self(
            array_map(static fn (Position $place): float => round($place->east, 3), $places),
            array_map(static fn (Position $place): float => round($place->north, 3), $places),
            array_map(static fn (Position $place): float => round($place->up, 3), $places),
        );
    }
}
