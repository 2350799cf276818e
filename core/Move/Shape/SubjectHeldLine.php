<?php

declare(strict_types=1);

namespace Larkspur\Move\Shape;

use Larkspur\Fact;
use Larkspur\Measure\Angle;
use Larkspur\Measure\Quantity;
use Larkspur\Move\Intent;
use Larkspur\Move\Timing\Pace;
use Larkspur\Refusal;

/** A straight way in the plane through a subject and a bearing from it, while the tilt holds the subject at its place. */
abstract readonly class SubjectHeldLine extends SubjectHeld
{
    /** What such moves are shaped by beside their own way. */
    protected const DIALS = ['distance_m', 'height_m', 'start_bearing_deg', 'ease_s'];

    /**
     * Metres away from the subject and metres up for each metre of way.
     *
     * @return array{float, float}
     */
    abstract protected function slope(Intent $intent, Pace $pace): array;

    protected function path(Intent $intent, Pace $pace): callable
    {
        [$outward, $upward] = $this->slope($intent, $pace);
        $distance = $intent->number('distance_m') ?? 0.0;
        $height = $intent->number('height_m') ?? 0.0;
        $bearing = ($intent->number('start_bearing_deg') ?? 0.0) * Angle::DEGREE;
        if ($distance + $outward * $pace->length < 1.0) {
            throw new Refusal(
                Fact::of('held-line.way-ends-beyond-subject'), 'intent.parameters.length_m',
                Fact::of('held-line.most-distance', distance: Quantity::metres(max(0.1, $distance - 1.0))),
            );
        }

        return static fn (float $way): array => [$distance + $outward * $way, $bearing, $height + $upward * $way];
    }
}
