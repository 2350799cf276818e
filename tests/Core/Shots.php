<?php

declare(strict_types=1);

namespace Tests\Core;

use Demo\Rigs;
use Demo\Sites;
use Larkspur\Choreography\Plan;
use Larkspur\Choreography\Planner;
use Larkspur\Choreography\Shot;
use Larkspur\Fields;
use Larkspur\Telemetry\FlightCsvReader;
use Larkspur\Telemetry\FlightCsvWriter;
use Larkspur\Telemetry\FlightLog;

/** Shots, plans and logs that the tests of core/ start from. */
final class Shots
{
    /**
     * A shot of an orbit on open ground.
     *
     * @param  array<string, float|string>  $parameters
     * @param  array<string, mixed>  $more  replaces whole parts of the shot
     * @return array<string, mixed>
     */
    public static function document(array $parameters = [], array $more = []): array
    {
        return array_replace([
            'schema' => 'larkspur/shot/1',
            'intent' => [
                'schema' => 'larkspur/intent/1', 'move' => 'orbit',
                'subject' => ['lat' => 57.60045, 'lon' => -0.3996, 'alt_m' => 6.4, 'base_alt_m' => 5.2],
                'camera' => ['hfov_deg' => 71.6], 'parameters' => $parameters,
            ],
            'rig' => Rigs::all()['lapwing'],
            'mode' => 'standard',
            'site' => ['name' => 'open moor', 'home' => ['lat' => 57.6, 'lon' => -0.4, 'alt_m' => 4.0]],
        ], $more);
    }

    /**
     * @param  array<string, float|string>  $parameters
     * @param  array<string, mixed>  $more
     */
    public static function orbit(array $parameters = [], array $more = []): Shot
    {
        return Shot::read(Fields::of(self::document($parameters, $more)));
    }

    /**
     * @param  array<string, float|string>  $parameters
     * @param  array<string, mixed>  $more
     */
    public static function plan(array $parameters = [], array $more = []): Plan
    {
        return Planner::plan(self::orbit($parameters, $more));
    }

    /** @return array<string, mixed> the ring of stones with all that stands there */
    public static function stones(): array
    {
        return Sites::all()[0]['document'];
    }

    public static function csv(FlightLog $log): string
    {
        $text = '';
        foreach ((new FlightCsvWriter)->write($log) as $piece) {
            $text .= $piece;
        }

        return $text;
    }

    public static function readCsv(string $text): FlightLog
    {
        $stream = fopen('php://temp', 'w+b');
        assert($stream !== false);
        fwrite($stream, $text);
        rewind($stream);

        return (new FlightCsvReader)->read($stream);
    }
}
