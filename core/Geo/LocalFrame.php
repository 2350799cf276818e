<?php

declare(strict_types=1);

namespace Larkspur\Geo;

use Larkspur\Measure\Angle;

/**
 * A flat east-north-up frame about an origin, by the radii of curvature of the WGS 84 ellipsoid there:
 * east = (lon - lon0) N cos(lat0), north = (lat - lat0) M, up = alt - alt0.
 * M = a (1 - e2) / (1 - e2 sin^2 lat0)^1.5, N = a / sqrt(1 - e2 sin^2 lat0)
 * (radii as in NGA.STND.0036; flat form good to 0.25 m at 1 km below 70 degrees of latitude).
 */
final readonly class LocalFrame
{
    private const SEMI_MAJOR = 6378137.0;

    private const FLATTENING = 1 / 298.257223563;

    /** Metres per radian of latitude and of longitude at the origin. */
    private float $north;

    private float $east;

    public function __construct(public GeoPoint $origin)
    {
        [$meridian, $primeVertical] = self::radii($origin->latitude * Angle::DEGREE);
        $this->north = $meridian;
        $this->east = $primeVertical * cos($origin->latitude * Angle::DEGREE);
    }

    /**
     * @param  float  $latitude  radians
     * @return array{float, float} meridian radius M and prime-vertical radius N, metres
     */
    public static function radii(float $latitude): array
    {
        $e2 = self::FLATTENING * (2 - self::FLATTENING);
        $w = 1 - $e2 * sin($latitude) ** 2;

        return [self::SEMI_MAJOR * (1 - $e2) / $w ** 1.5, self::SEMI_MAJOR / sqrt($w)];
    }

    public function position(GeoPoint $point): Position
    {
        return new Position(
            $this->eastOf($point->longitude),
            $this->northOf($point->latitude),
            $point->altitude - $this->origin->altitude,
        );
    }

    public function geoPoint(Position $position): GeoPoint
    {
        return new GeoPoint(
            $this->origin->latitude + $position->north / $this->north / Angle::DEGREE,
            fmod($this->origin->longitude + $position->east / $this->east / Angle::DEGREE + 540, 360) - 180,
            $this->origin->altitude + $position->up,
        );
    }

    public function eastOf(float $longitude): float
    {
        return Angle::wrap(($longitude - $this->origin->longitude) * Angle::DEGREE) * $this->east;
    }

    public function northOf(float $latitude): float
    {
        return ($latitude - $this->origin->latitude) * Angle::DEGREE * $this->north;
    }
}
