<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

use Larkspur\Fact;
use Larkspur\Geo\Position;
use Larkspur\Measure\Quantity;
use Larkspur\Refusal;
use Larkspur\Telemetry\Reading;

/** A log that lies elsewhere than its plan: somebody has to say how it is meant. */
final class PlaceDoubtful extends Refusal
{
    /** Beyond this a distance is said in kilometres, m. */
    private const FAR = 10000.0;

    /**
     * @param  Position  $written  of its nearest sample from the place of the plan, m; of heights, how far they are off
     * @param  array<value-of<Reading>, Position>  $readings  the same by other readings that would fit
     */
    private function __construct(Fact $fact, string $place, public readonly Position $written, public readonly array $readings)
    {
        parent::__construct($fact, $place, $readings === []
            ? Fact::of('place.log-of-this-plan')
            : Fact::of('place.say-reading', readings: implode(', ', array_keys($readings))));
    }

    /** @param  array<value-of<Reading>, Position>  $readings */
    public static function elsewhere(Position $written, array $readings): self
    {
        $away = $written->ground();
        $fact = $away < self::FAR
            ? Fact::of('place.elsewhere', away: Quantity::metres($away))
            : Fact::of('place.far-elsewhere', away: $away / 1000);

        return new self($fact, 'lat', $written, $readings);
    }

    /** @param  array<value-of<Reading>, Position>  $readings */
    public static function heights(Position $written, array $readings): self
    {
        return new self(Fact::of('place.heights-off', off: Quantity::metres($written->up)), 'alt_m', $written, $readings);
    }
}
