<?php

declare(strict_types=1);

namespace App\Outside;

use Larkspur\Geo\GeoPoint;

/** Rolling ground made up from a few waves of hundreds of metres: for places without a network, labelled as simulated. */
final class SimulatedGroundHeights implements GroundHeights
{
    /** Waves: lengths along latitude and longitude in degrees, and height, m. */
    private const WAVES = [[0.0083, 0.0121, 4.2], [0.0041, -0.0067, 2.1], [-0.0019, 0.0034, 0.9]];

    public function at(array $places): array
    {
        return array_map(static function (GeoPoint $place): float {
            $height = 8.0;
            foreach (self::WAVES as [$north, $east, $up]) {
                $height += $up * sin(2 * M_PI * ($place->latitude / $north + $place->longitude / $east));
            }

            return round(max(0.0, $height), 2);
        }, $places);
    }

    public function isSimulated(): bool
    {
        return true;
    }

    public function source(): string
    {
        return 'Skerrow height survey';
    }
}
