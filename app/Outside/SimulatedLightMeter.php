<?php

declare(strict_types=1);

namespace App\Outside;

use Larkspur\Geo\GeoPoint;
use Larkspur\Site\Sun;

/**
 * A meter that reads what the sun's height and the simulated cloud would give: EV 15 in full sun, less as it sinks; labelled as simulated.
 */
final readonly class SimulatedLightMeter implements LightMeter
{
    public function __construct(private WeatherService $weather)
    {
    }

    public function read(GeoPoint $place, float $time): float
    {
        $degrees = rad2deg(Sun::at($time, $place)->altitude);
        // Illuminance of a clear sky against the sun's height falls by about a stop each two degrees below the horizon.
        $clear = match (true) {
            $degrees > 0 => 12.0 + log(1 + 8 * sin(deg2rad(min(60.0, $degrees))), 2),
            default => 12.0 + $degrees / 1.3,
        };

        return round(max(-4.0, $clear - 3 * $this->weather->at($place, $time)->cloud), 1);
    }

    public function isSimulated(): bool
    {
        return true;
    }
}
