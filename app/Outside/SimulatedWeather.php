<?php

declare(strict_types=1);

namespace App\Outside;

use Larkspur\Geo\GeoPoint;
use Larkspur\Measure\SeededNoise;
use Larkspur\Site\Wind;

/** Weather made up from place and hour, the same every time it is asked: for places without a network, labelled as simulated. */
final class SimulatedWeather implements WeatherService
{
    public function at(GeoPoint $place, float $time): Weather
    {
        $day = (int) floor($time / 86400);
        $hour = fmod($time / 3600, 24);
        $noise = SeededNoise::named($day * 131 + (int) round(100 * $place->latitude) + (int) round(100 * $place->longitude), 'weather');
        // A day has its own wind; the sun raises it toward the afternoon.
        $base = $noise->between(1.0, 6.0);
        $mean = round(max(0.0, $base + 1.2 * sin(M_PI * ($hour - 8) / 12)), 1);
        $from = $noise->between(0, 2 * M_PI);
        $season = cos(2 * M_PI * (fmod($day, 365.25) - 200) / 365.25) * ($place->latitude >= 0 ? 1 : -1);

        return new Weather(
            new Wind($from, $mean, round($mean * $noise->between(1.3, 1.7), 1)),
            round(10 + 8 * $season + 3 * sin(M_PI * ($hour - 9) / 12) + $noise->between(-3, 3), 1),
            round($noise->between(0, 1), 2), 'Skerrow weather mast', true,
        );
    }
}
