<?php

declare(strict_types=1);

namespace App\Actions;

use Larkspur\Choreography\Plan;
use Larkspur\Fact;
use Larkspur\Geo\GeoPoint;
use Larkspur\Site\Light;
use Larkspur\Site\Sun;
use Larkspur\Site\SunDay;

/** The sun over a day at a place, and where its light falls on a shot. */
final readonly class TellLight
{
    /** Minutes between the times that the side of the light is told for. */
    private const STEP = 15;

    /** @return array<string, mixed> */
    public function __invoke(GeoPoint $place, string $date, ?Plan $plan, Light $wanted): array
    {
        $day = SunDay::of($date, $place);

        return ['place' => ['lat' => $place->latitude, 'lon' => $place->longitude], 'date' => $date, 'day' => $day->toArray(), 'shot' => $plan === null ? null : self::onShot($day, $plan, $wanted)];
    }

    /** @return array<string, mixed> */
    private static function onShot(SunDay $day, Plan $plan, Light $wanted): array
    {
        $headings = $plan->headings();
        $sides = [];
        for ($t = $day->noon - 43200; $t <= $day->noon + 43200; $t += 60 * self::STEP) {
            $sun = Sun::at($t, $day->place);
            $from = array_values(array_unique(array_map(static fn (float $heading): string => Light::from($sun, $heading), $headings)));
            if ($from !== ['none']) {
                $sides[] = ['at' => SunDay::written($t), 'sides' => $from];
            }
        }
        $windows = $wanted->windows($day, $headings);

        return [
            'wanted' => $wanted->toArray(), 'heading_from_deg' => round(fmod(rad2deg($headings[0]) + 3600, 360), 1), 'heading_to_deg' => round(fmod(rad2deg($headings[4]) + 3600, 360), 1),
            'sides' => $sides, 'windows' => array_map(SunDay::stretch(...), $windows),
            'sentence' => $wanted->side === 'any' && $wanted->hour === 'any' ? Fact::of('light.asks-for-none') : ($windows === [] ? Fact::of('light.does-not-come') : null),
        ];
    }
}
