<?php

declare(strict_types=1);

namespace Larkspur\Move;

use Larkspur\Measure\Angle;
use Larkspur\Refusal;

/** A straight way in the plane through a subject and a bearing from it, while the tilt holds the subject at its place. */
abstract readonly class HeldLine extends Held
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
            throw new Refusal('The way ends beyond the subject.', 'intent.parameters.length_m', sprintf('at most %.1f m from that distance', max(0.1, $distance - 1.0)));
        }

        return static fn (float $way): array => [$distance + $outward * $way, $bearing, $height + $upward * $way];
    }
}
