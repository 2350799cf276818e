<?php

declare(strict_types=1);

namespace Tests\Checks;

use Larkspur\Measure\Ramp;
use Larkspur\Scoring\Samples;

/** The orbit flights of the scoring method in closed form: F1 clean, F2 wobbling, F3 with quasi-noise, F2n both. */
final class ReferenceFlights
{
    private const RADIUS = 30.0;

    private const PACE = 2.5;

    public static function orbit(int $rate, bool $wobble, bool $noise): Samples
    {
        $length = M_PI * self::RADIUS / self::PACE;
        $t = $x = $y = $z = $heading = $tilt = [];
        $last = (int) round(($length + 8) * $rate);
        for ($i = 0; $i <= $last; $i++) {
            $time = $i / $rate;
            $bearing = M_PI / 2 + self::progress($time, $length) * self::PACE / self::RADIUS;
            $radius = self::RADIUS + ($wobble ? 1.2 * sin(2 * M_PI * 0.08 * ($time - 3)) : 0.0);
            $aim = rad2deg(atan2(-12, self::RADIUS));
            $t[] = $time;
            $x[] = $radius * sin($bearing) + ($noise ? self::chirp($i, 0.2, 0.0) : 0.0);
            $y[] = $radius * cos($bearing) + ($noise ? self::chirp($i, 0.2, 1.0) : 0.0);
            $z[] = 15.0 + ($wobble ? 0.3 * sin(2 * M_PI * 0.6 * ($time - 3)) : 0.0) + ($noise ? self::chirp($i, 0.1, 2.0) : 0.0);
            $heading[] = rad2deg($bearing) + 180 + ($wobble ? 1.5 * sin(2 * M_PI * 0.5 * ($time - 3)) : 0.0) + ($noise ? self::chirp($i, 0.3, 3.0) : 0.0);
            $tilt[] = $noise ? floor(10 * $aim + 0.5) / 10 : $aim;
        }

        return Samples::given($t, $x, $y, $z, $heading, $tilt);
    }

    /** Seconds of travel at full pace, with quintic eases of $ease seconds, begun at $start. */
    public static function progress(float $t, float $length, float $ease = 2.0, float $start = 3.0): float
    {
        return $ease * (Ramp::travel(($t - $start) / $ease) - Ramp::travel(($t - $start - $length) / $ease));
    }

    /** A repeatable stand-in for noise: a chirp whose phase grows with the square of the index. */
    public static function chirp(int $i, float $size, float $phase): float
    {
        return $size * M_SQRT2 * cos(M_PI * fmod(0.6180339887498949 * $i * $i, 2) + $phase);
    }
}
