<?php

declare(strict_types=1);

namespace App\Outside;

use Larkspur\Site\Wind;

/** What a weather service says of a place and an hour. */
final readonly class Weather
{
    /**
     * @param  float  $temperature  °C
     * @param  float  $cloud  share of the sky that is covered, 0 to 1
     * @param  string  $source  who says so
     */
    public function __construct(
        public Wind $wind, public float $temperature, public float $cloud, public string $source, public bool $simulated,
    ) {
    }
}
