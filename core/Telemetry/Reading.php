<?php

declare(strict_types=1);

namespace Larkspur\Telemetry;

use Larkspur\Fact;

/** How the places of a log are to be taken: as they are written, or as another maker must have meant them. */
enum Reading: string
{
    case AsWritten = 'as-written';

    /** Latitude and longitude have changed places. */
    case Swapped = 'swapped';

    /** They are radians. */
    case Radians = 'radians';

    /** Heights are feet. */
    case Feet = 'feet';

    /** Heights count from take-off. */
    case FromTakeOff = 'from-take-off';

    /** Heights count from the sea, where the plan has them count from take-off. */
    case AboveSea = 'above-sea';

    public function words(): Fact
    {
        return Fact::of("reading.$this->value");
    }

    /**
     * The log, read so.
     *
     * @param  float  $ground  height of take-off, or of the foot of what is filmed, in the plan's datum, m
     */
    public function of(FlightLog $log, float $ground): FlightLog
    {
        [$lat, $lon, $alt] = [$log->column('lat'), $log->column('lon'), $log->column('alt_m')];

        return match ($this) {
            self::AsWritten => $log,
            self::Swapped => $log->with(['lat' => $lon, 'lon' => $lat]),
            self::Radians => $log->with(['lat' => array_map(rad2deg(...), $lat), 'lon' => array_map(rad2deg(...), $lon)]),
            self::Feet => $log->with(['alt_m' => array_map(static fn (float $feet): float => 0.3048 * $feet, $alt)]),
            self::FromTakeOff => $log->with(['alt_m' => array_map(static fn (float $up): float => $up + $ground, $alt)]),
            self::AboveSea => $log->with(['alt_m' => array_map(static fn (float $up): float => $up - $ground, $alt)]),
        };
    }
}
