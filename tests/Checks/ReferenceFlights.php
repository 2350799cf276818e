<?php

declare(strict_types=1);

namespace Tests\Checks;

use Larkspur\Measure\Ramp;
use Larkspur\Scoring\Samples;

/**
 * The reference flights of the scoring method in closed form: orbits (F1 clean, F2 wobbling, F3 with quasi-noise, F2n
 * both), a push-in (F4, with a kick F4k, noise F4n, wobble F4w), a lift with tilt (F5), a reveal (F6), a pull-away (F7) and
 * a climb with spin, seen straight down (F8).
 */
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
            $heading[] = rad2deg($bearing) + 180 + (
                $wobble ? 1.5 * sin(2 * M_PI * 0.5 * ($time - 3)) : 0.0
            ) + ($noise ? self::chirp($i, 0.3, 3.0) : 0.0);
            $tilt[] = $noise ? floor(10 * $aim + 0.5) / 10 : $aim;
        }

        return Samples::given($t, $x, $y, $z, array_map(deg2rad(...), $heading), array_map(deg2rad(...), $tilt));
    }

    /** F4: twelve seconds at 3 m/s along 30 degrees, heading the same way, 8 m up, looking 10 degrees down. */
    public static function pushIn(int $rate, string $with = ''): Samples
    {
        $t = $x = $y = $z = $heading = $tilt = [];
        for ($i = 0, $last = 20 * $rate; $i <= $last; $i++) {
            $time = $i / $rate;
            $way = 3 * self::progress($time, 12.0);
            $turn = 30.0;
            if ($with === 'kick') {
                $u = max(0.0, min(1.0, ($time - 10) / 0.35));
                $turn += 4 * $u * $u * (3 - 2 * $u);
            } elseif ($with === 'wobble') {
                $way += $time > 5 && $time <= 5 + 1 / 0.15 ? 3 * 0.1 / (2 * M_PI * 0.15) * (1 - cos(2 * M_PI * 0.15 * ($time - 5))) : 0.0;
                $turn += sin(2 * M_PI * 0.3 * ($time - 3));
            }
            $noisy = $with === 'noise';
            $t[] = $time;
            $x[] = $way * sin(deg2rad(30)) + ($noisy ? self::chirp($i, 0.2, 0.0) : 0.0);
            $y[] = $way * cos(deg2rad(30)) + ($noisy ? self::chirp($i, 0.2, 1.0) : 0.0);
            $z[] = 8.0 + ($noisy ? self::chirp($i, 0.1, 2.0) : 0.0);
            $heading[] = $turn + ($noisy ? self::chirp($i, 0.3, 3.0) : 0.0);
            $tilt[] = -10.0;
        }

        return Samples::given($t, $x, $y, $z, array_map(deg2rad(...), $heading), array_map(deg2rad(...), $tilt));
    }

    /** F5: a lift of 15 m at 1.2 m/s, 25 m south of a subject 2 m up, the tilt that many degrees off the exact one. */
    public static function lift(float $off): Samples
    {
        return self::sampled(12.5, static function (float $time) use ($off): array {
            $z = 5 + 1.2 * self::progress($time, 12.5);

            return [0.0, -25.0, $z, 0.0, rad2deg(atan2(2 - $z, 25.0)) + $off];
        });
    }

    /** F6: ahead at 3 m/s, 20 m up, tilting up by 55 degrees from 60 below level: eased, or with flicked ends. */
    public static function reveal(bool $eased): Samples
    {
        return self::sampled(12.0, static fn (float $time): array => [
            0.0, 3 * self::progress($time, 12.0), 20.0, 0.0,
            -60 + 55 * ($eased ? self::progress($time, 7.0, 2.0, 4.0) / 7 : max(0.0, min(1.0, ($time - 5) / 8))),
        ]);
    }

    /** F7: back at 2.5 m/s and up at 1.5 from a subject 1 m up, held exactly. */
    public static function pullAway(): Samples
    {
        return self::sampled(12.0, static function (float $time): array {
            $y = -12 - 2.5 * self::progress($time, 12.0);
            $z = 5 + 1.5 * self::progress($time, 12.0);

            return [0.0, $y, $z, 0.0, rad2deg(atan2(1 - $z, -$y))];
        });
    }

    /** F8: up at 1.2 m/s and round at 6 degrees a second over the subject, looking straight down. */
    public static function helix(): Samples
    {
        return self::sampled(
            14.0,
            static fn (float $time): array => [
                0.0, 0.0, 10 + 1.2 * self::progress($time, 14.0), 20 + 6 * self::progress($time, 14.0), -90.0,
            ],
        );
    }

    /** @param  callable(float): array{float, float, float, float, float}  $at  x, y, z, heading and tilt */
    private static function sampled(float $length, callable $at): Samples
    {
        $columns = [[], [], [], [], [], []];
        for ($i = 0, $last = (int) round(($length + 8) * 10); $i <= $last; $i++) {
            foreach ([$i / 10, ...$at($i / 10)] as $k => $value) {
                $columns[$k][] = $value;
            }
        }

        [$t, $x, $y, $z, $heading, $tilt] = $columns;

        return Samples::given($t, $x, $y, $z, array_map(deg2rad(...), $heading), array_map(deg2rad(...), $tilt));
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
