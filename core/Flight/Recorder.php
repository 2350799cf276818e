<?php

declare(strict_types=1);

namespace Larkspur\Flight;

use Larkspur\Flight;
use Larkspur\Geo\LocalFrame;
use Larkspur\Geo\MovingPoint;
use Larkspur\Geo\Position;
use Larkspur\Measure\Angle;
use Larkspur\Measure\SeededNoise;
use Larkspur\Telemetry\FlightLog;

/**
 * Turns a flight into the log that a craft would have kept of it: sampled at the log's rate, in degrees and metres
 * above the datum, with the error of satellite positioning (white noise on top of a slow walk) and of the compass.
 * The flight itself is not touched.
 */
final readonly class Recorder
{
    /** Time constant of the slow walk of a satellite position, s (common practice, no published source). */
    private const WALK_TIME = 40.0;

    /**
     * @param  float  $rate  samples per second
     * @param  float  $white  noise of a position from sample to sample, m; heights get two thirds of it
     * @param  float  $walk  spread of its slow walk, m
     * @param  float  $compass  noise of the heading, rad
     * @param  ?float  $speed  noise of the receiver's own speed, m/s; null where the log has no speed columns
     */
    public function __construct(
        public float $rate = 10.0,
        public float $white = 0.0,
        public float $walk = 0.0,
        public float $compass = 0.0,
        public ?float $speed = null,
    ) {
    }

    /** As a folding craft's receiver does on a fair day. */
    public static function fair(float $rate = 10.0): self
    {
        return new self($rate, 0.08, 0.2, 0.15 * Angle::DEGREE, 0.04);
    }

    /**
     * @param  array<string, list<float>>  $extra  further columns, sampled like the flight
     * @param  ?MovingPoint  $subject  where it moves, its own beacon is recorded along
     */
    public function record(
        Flight $flight, LocalFrame $frame, int $seed = 0, string $flightMode = '', array $extra = [], ?MovingPoint $subject = null,
    ): FlightLog {
        if ($subject !== null && $subject->moves()) {
            foreach ($flight->t as $t) {
                $at = $frame->geoPoint($subject->at($t));
                $extra['subject_lat'][] = $at->latitude;
                $extra['subject_lon'][] = $at->longitude;
                $extra['subject_alt_m'][] = $at->altitude;
            }
        }
        $n = $flight->count();
        $step = $n > 1 ? $flight->duration() / ($n - 1) : 0.02;
        $stride = max(1, (int) round(1 / ($this->rate * $step)));
        $noise = SeededNoise::named($seed, 'receiver');
        // The walk is that of the flight, whatever the rate at which it is sampled.
        $drift = SeededNoise::named($seed, 'walk');
        $keep = exp(-$step / self::WALK_TIME);
        $kick = $this->walk * sqrt(1 - $keep * $keep);
        [$we, $wn, $wu] = [$this->walk * $drift->normal(), $this->walk * $drift->normal(), $this->walk * $drift->normal()];

        $columns = array_fill_keys(
            [...FlightLog::REQUIRED, ...$this->speed === null ? [] : ['speed_mps', 'climb_mps'], ...array_keys($extra)], [],
        );
        $doppler = SeededNoise::named($seed, 'speed');
        foreach ($flight->fingers === null ? [] : array_keys($flight->fingers) as $finger) {
            $columns['stick_'.$finger] = [];
        }
        for ($i = 0; $i < $n; $i += $stride) {
            $point = $frame->geoPoint(new Position(
                $flight->east[$i] + $we + $this->white * $noise->normal(),
                $flight->north[$i] + $wn + $this->white * $noise->normal(),
                $flight->up[$i] + 0.67 * ($wu + $this->white * $noise->normal()),
            ));
            $columns['t'][] = round($flight->t[$i], 3);
            $columns['lat'][] = $point->latitude;
            $columns['lon'][] = $point->longitude;
            $columns['alt_m'][] = $point->altitude;
            $columns['heading_deg'][] = Angle::bearing($flight->heading[$i] + $this->compass * $noise->normal());
            $columns['gimbal_tilt_deg'][] = $flight->tilt[$i] / Angle::DEGREE;
            if ($this->speed !== null) {
                [$a, $b] = [max(0, $i - 1), min($n - 1, $i + 1)];
                $span = max(1e-6, $flight->t[$b] - $flight->t[$a]);
                $columns['speed_mps'][] = round(
                    max(
                        0.0,
                        hypot(
                            $flight->east[$b] - $flight->east[$a], $flight->north[$b] - $flight->north[$a],
                        ) / $span + $this->speed * $doppler->normal(),
                    ),
                    2,
                );
                $columns['climb_mps'][] = round(($flight->up[$b] - $flight->up[$a]) / $span + $this->speed * $doppler->normal(), 2);
            }
            foreach ($flight->fingers ?? [] as $finger => $travel) {
                $columns['stick_'.$finger][] = $travel[$i];
            }
            foreach ($extra as $name => $values) {
                $columns[$name][] = $values[$i];
            }
            for ($k = 0; $k < $stride && $kick > 0; $k++) {
                $we = $keep * $we + $kick * $drift->normal();
                $wn = $keep * $wn + $kick * $drift->normal();
                $wu = $keep * $wu + $kick * $drift->normal();
            }
        }

        return new FlightLog($columns, $flightMode === '' ? [] : array_fill(0, count($columns['t']), $flightMode));
    }
}
