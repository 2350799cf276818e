<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

use Larkspur\Geo\GeoPoint;
use Larkspur\Geo\LocalFrame;
use Larkspur\Geo\Position;
use Larkspur\Measure\Statistics;
use Larkspur\Move\Intent;
use Larkspur\Telemetry\FlightLog;
use Larkspur\Telemetry\Reading;

/**
 * Whether a log was flown where its plan lies. One from another place is no bad flying: it is asked about, with whatever other reading of
 * its numbers would bring it there.
 */
final class Placement
{
    /** Farther from the place of its plan than this, beyond the way that is planned, no pilot strays, m. */
    private const REACH = 300.0;

    /** Heights may be off by so much, and by a share of the planned one: satellite heights and their datum are. */
    private const HEIGHT = 25.0;

    private const HEIGHT_SHARE = 0.8;

    /** Another reading of the heights must bring them so near, m. */
    private const FITS = 12.0;

    /** @throws PlaceDoubtful where the log lies elsewhere, or its heights count from something else */
    public static function check(FlightLog $log, Intent $intent): void
    {
        $place = $intent->subject ?? $intent->home;
        if ($place === null) {
            return;
        }
        $reach = self::REACH + 2 * array_sum(array_map(
            static fn (string $name): float => abs($intent->number($name) ?? 0.0), ['radius_m', 'distance_m', 'length_m', 'radius_end_m'],
        ));
        $written = self::nearest($log, $place);
        if ($written->ground() > $reach) {
            $readings = [];
            foreach ([Reading::Swapped, Reading::Radians] as $reading) {
                $other = self::nearest($reading->of($log, 0.0), $place);
                if ($other->ground() <= $reach) {
                    $readings[$reading->value] = $other;
                }
            }
            throw PlaceDoubtful::elsewhere($written, $readings);
        }
        self::checkHeights($log, $intent);
    }

    private static function checkHeights(FlightLog $log, Intent $intent): void
    {
        $height = $intent->number('height_m');
        $foot = $intent->subjectBase ?? $intent->subject?->altitude;
        if ($height === null || $foot === null) {
            return;
        }
        // Where the plan says that heights count from take-off, its own are made to.
        $wanted = $foot + $height - ($intent->home->altitude ?? 0.0);
        $limit = self::HEIGHT + self::HEIGHT_SHARE * $height;
        $off = static fn (FlightLog $read): float => Statistics::median($read->column('alt_m')) - $wanted;
        $written = $off($log);
        if (abs($written) <= $limit) {
            return;
        }
        $ground = $intent->home->altitude ?? $foot;
        $readings = [];
        foreach ([Reading::Feet, $intent->home === null ? Reading::FromTakeOff : Reading::AboveSea] as $reading) {
            $other = $off($reading->of($log, $ground));
            if (abs($other) <= self::FITS + 0.3 * $height) {
                $readings[$reading->value] = new Position(0.0, 0.0, $other);
            }
        }
        if ($readings !== []) {
            throw PlaceDoubtful::heights(new Position(0.0, 0.0, $written), $readings);
        }
    }

    /** The sample that comes nearest to a place, from there. */
    private static function nearest(FlightLog $log, GeoPoint $place): Position
    {
        $frame = new LocalFrame($place);
        $nearest = null;
        foreach ($log->column('lat') as $i => $latitude) {
            $longitude = $log->column('lon')[$i];
            $here = new Position($frame->eastOf($longitude), $frame->northOf($latitude), 0.0);
            $nearest = $nearest === null || $here->ground() < $nearest->ground() ? $here : $nearest;
        }

        return $nearest ?? new Position(0.0, 0.0, 0.0);
    }
}
