<?php

declare(strict_types=1);

namespace App\Documents;

use App\Outside\Weather;
use Documents\Document;

/** What a weather service says of a place and an hour. */
final readonly class WeatherDocument implements Document
{
    public function __construct(
        public float $fromDeg,
        public float $meanMps,
        public float $gustMps,
        public float $temperatureC,
        public float $cloud,
        public string $source,
        public bool $simulated,
    ) {
    }

    public static function of(Weather $weather): self
    {
        $wind = $weather->wind->toArray();

        return new self(
            $wind['from_deg'], $wind['mean_mps'], $wind['gust_mps'], $weather->temperature, $weather->cloud, $weather->source,
            $weather->simulated,
        );
    }
}
