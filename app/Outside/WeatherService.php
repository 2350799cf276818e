<?php

declare(strict_types=1);

namespace App\Outside;

use Larkspur\Geo\GeoPoint;

/** Tells wind, gusts, temperature and cloud. A real service is another class behind this contract. */
interface WeatherService
{
    /** @param  float  $time  seconds since 1970, UTC */
    public function at(GeoPoint $place, float $time): Weather;
}
