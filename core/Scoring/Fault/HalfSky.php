<?php

declare(strict_types=1);

namespace Larkspur\Scoring\Fault;

use Larkspur\Fact;
use Larkspur\Measure\Angle;
use Larkspur\Measure\Quantity;
use Larkspur\Measure\Statistics;
use Larkspur\Move\Judging\Framed;
use Larkspur\Scoring\Measurements;

/** A reveal that was to end with the horizon off the middle and ends level, half of it sky. */
final readonly class HalfSky extends NamedFault
{
    /** Tilt this near to level puts the horizon in the middle; a planned end steeper than this shows none. */
    private const LEVEL = 2.0 * Angle::DEGREE;

    private const STEEP = -20.0 * Angle::DEGREE;

    public function id(): string
    {
        return 'half-sky';
    }

    public function rank(): int
    {
        return 4;
    }

    public function spoils(Fault $fault): array
    {
        return ['framing'];
    }

    public function find(Measurements $take): array
    {
        $wanted = $take->target->tiltEnd;
        if ($take->take->judging->framed !== Framed::Reveal || $wanted === null || $wanted < self::STEEP || abs($wanted) < self::LEVEL) {
            return [];
        }
        $to = $take->take->main->to;
        $end = Statistics::median(array_slice($take->take->grid->tilt->value, max(0, $to - 3)));
        if (abs($end) >= self::LEVEL && ($wanted >= 0 || $end <= 0)) {
            return [];
        }
        // Sky is what lies above the horizon, which stands -tan(tilt) / (2 tan(VFOV / 2)) above the middle.
        $sky = max(0.0, min(1.0, 0.5 + tan($end) / (2 * $take->take->lens->halfHeight)));

        return [Fault::momentary($this, 'tilt', $take->take->grid->t[$to], 'stop')
            ->measured(
                Quantity::share($sky), 1 + abs($end - $wanted) / abs($wanted), Fact::of('picture.share-of-sky', sky: Quantity::share($sky)),
            )];
    }

    public function stage(Staging $staging): Staging
    {
        return $staging->flownAs(['tilt_end_deg' => 0.0]);
    }
}
