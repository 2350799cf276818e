<?php

declare(strict_types=1);

namespace Larkspur\Geo;

use Larkspur\Fields;

/** A WGS 84 position: degrees, and metres above whatever datum the log or site is kept in. */
final readonly class GeoPoint
{
    public function __construct(public float $latitude, public float $longitude, public float $altitude = 0.0)
    {
    }

    /** Reads {lat, lon, alt_m}; alt_m may be left out. */
    public static function read(Fields $fields): self
    {
        return new self(
            $fields->number('lat', -89.9, 89.9, 'degrees'),
            $fields->number('lon', -180, 180, 'degrees'),
            $fields->numberOrNull('alt_m', -500, 9000, 'm') ?? 0.0,
        );
    }

    /** @return array{lat: float, lon: float, alt_m: float} */
    public function toArray(): array
    {
        return ['lat' => round($this->latitude, 8), 'lon' => round($this->longitude, 8), 'alt_m' => round($this->altitude, 3)];
    }
}
