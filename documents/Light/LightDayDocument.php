<?php

declare(strict_types=1);

namespace Documents\Light;

use Documents\Document;
use Larkspur\Choreography\Brief;
use Larkspur\Choreography\Plan;
use Larkspur\Geo\GeoPoint;
use Larkspur\Site\Light;
use Larkspur\Site\SunDay;

/** The sun over a day at a place, and where its light falls on a shot. */
final readonly class LightDayDocument implements Document
{
    public function __construct(
        public LightPlace $place,
        public string $date,
        public SunDayDocument $day,
        public ?ShotLight $shot,
    ) {
    }

    public static function of(GeoPoint $place, string $date, ?Plan $plan, Light $wanted, Brief $brief = new Brief): self
    {
        $day = SunDay::of($date, $place);

        return new self(
            LightPlace::of($place), $date, SunDayDocument::of($day), $plan === null ? null : ShotLight::of($day, $plan, $wanted, $brief),
        );
    }
}
