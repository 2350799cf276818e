<?php

declare(strict_types=1);

namespace App\Outside;

use Larkspur\Geo\GeoPoint;

/** Measures how bright it is. A real meter is another class behind this contract. */
interface LightMeter
{
    /**
     * @param  float  $time  seconds since 1970, UTC
     * @return float EV at ISO 100
     */
    public function read(GeoPoint $place, float $time): float;

    public function isSimulated(): bool;
}
