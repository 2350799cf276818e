<?php

declare(strict_types=1);

namespace Larkspur\Measure;

/** A piecewise linear curve through given points, flat beyond both ends. */
final readonly class Anchors
{
    /** @param  non-empty-list<array{float, float}>  $points ascending in the first number */
    public function __construct(public array $points)
    {
    }

    public function at(float $value): float
    {
        $previous = $this->points[0];
        if ($value <= $previous[0]) {
            return $previous[1];
        }
        foreach ($this->points as $point) {
            if ($value <= $point[0]) {
                $span = $point[0] - $previous[0];

                return $span > 0 ? $previous[1] + ($point[1] - $previous[1]) * ($value - $previous[0]) / $span : $point[1];
            }
            $previous = $point;
        }

        return $previous[1];
    }
}
