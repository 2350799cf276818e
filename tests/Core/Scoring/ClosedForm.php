<?php

declare(strict_types=1);

namespace Tests\Core\Scoring;

use Larkspur\Fields;
use Larkspur\Geo\GeoPoint;
use Larkspur\Geo\LocalFrame;
use Larkspur\Geo\Position;
use Larkspur\Measure\Ramp;
use Larkspur\Move\Intent;
use Larkspur\Scoring\Fault\Fault;
use Larkspur\Scoring\Score;
use Larkspur\Scoring\Scorer;
use Larkspur\Telemetry\FlightLog;

/**
 * A log of an orbit in closed form, into which one thing at a time is put: what a test then finds was put there.
 * Clockwise from due east, 24 m out, 2.4 m/s, 150 degrees, eases of 2.4 s, rest of 3 s before and after.
 */
final class ClosedForm
{
    public const RADIUS = 24.0;

    public const PACE = 2.4;

    public const ARC = 150.0;

    public const EASE = 2.4;

    public const START = 3.0;

    /**
     * @param  array<'radius'|'height'|'heading'|'tilt'|'roll', callable(float): float>  $put  what is added, m and degrees
     * @param  ?callable(float): float  $travelled  metres along the path, in place of the clean ones
     */
    public static function log(array $put = [], float $rate = 10.0, ?callable $travelled = null, ?float $until = null): FlightLog
    {
        $frame = new LocalFrame(self::subject());
        $columns = array_fill_keys(FlightLog::REQUIRED, []);
        $last = (int) round(($until ?? self::end() + 3.0) * $rate);
        for ($i = 0; $i <= $last; $i++) {
            $t = $i / $rate;
            $add = array_map(static fn (callable $of): float => $of($t), $put);
            $bearing = M_PI / 2 + ($travelled === null ? self::travelled($t) : $travelled($t)) / self::RADIUS;
            $radius = self::RADIUS + ($add['radius'] ?? 0.0);
            $height = 10.0 + ($add['height'] ?? 0.0);
            $point = $frame->geoPoint(new Position($radius * sin($bearing), $radius * cos($bearing), $height));
            $columns['t'][] = $t;
            $columns['lat'][] = $point->latitude;
            $columns['lon'][] = $point->longitude;
            $columns['alt_m'][] = $height;
            $columns['heading_deg'][] = rad2deg($bearing) + 180.0 + ($add['heading'] ?? 0.0);
            $columns['gimbal_tilt_deg'][] = rad2deg(atan2(-8.0, self::RADIUS)) + ($add['tilt'] ?? 0.0);
            if (isset($put['roll'])) {
                $columns['gimbal_roll_deg'][] = $add['roll'] ?? 0.0;
            }
        }

        return new FlightLog(array_filter($columns));
    }

    public static function travelled(float $t, float $easeIn = self::EASE, float $easeOut = self::EASE): float
    {
        $length = self::RADIUS * deg2rad(self::ARC) / self::PACE;

        return self::PACE * (
            $easeIn * Ramp::travel(($t - self::START) / $easeIn) - $easeOut * Ramp::travel(
                ($t - self::START - $easeIn / 2 - $length + $easeOut / 2) / $easeOut,
            )
        );
    }

    /** When the craft is at rest again. */
    public static function end(): float
    {
        return self::START + self::RADIUS * deg2rad(self::ARC) / self::PACE + self::EASE;
    }

    /** @param  array<string, float|string>  $parameters */
    public static function intent(array $parameters = []): Intent
    {
        return Intent::read(Fields::of([
            'move' => 'orbit', 'subject' => self::subject(2.0)->toArray(), 'camera' => ['hfov_deg' => 70.0],
            'parameters' => [
                'radius_m' => self::RADIUS, 'arc_deg' => self::ARC, 'direction' => 'clockwise', 'pace_mps' => self::PACE, ...$parameters,
            ],
        ]));
    }

    /**
     * @param  array<'radius'|'height'|'heading'|'tilt'|'roll', callable(float): float>  $put
     * @param  ?callable(float): float  $travelled
     */
    public static function score(array $put = [], float $rate = 10.0, ?callable $travelled = null): Score
    {
        return Scorer::score(self::log($put, $rate, $travelled), self::intent());
    }

    /** @return list<string> faults as "id axis" */
    public static function faults(Score $score): array
    {
        return array_map(static fn (Fault $fault): string => $fault->id.' '.$fault->axis, $score->allFaults);
    }

    public static function fault(Score $score, string $id): ?Fault
    {
        foreach ($score->allFaults as $fault) {
            if ($fault->id === $id) {
                return $fault;
            }
        }

        return null;
    }

    private static function subject(float $altitude = 0.0): GeoPoint
    {
        return new GeoPoint(57.6, -0.4, $altitude);
    }
}
