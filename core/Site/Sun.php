<?php

declare(strict_types=1);

namespace Larkspur\Site;

use Larkspur\Fact;
use Larkspur\Geo\GeoPoint;
use Larkspur\Measure\Angle;
use Larkspur\Refusal;

/**
 * Where the sun stands: low-accuracy series of J. Meeus, Astronomical Algorithms (2nd ed. 1998), ch. 12, 13, 25; good to 0.01
 * degree. Altitude is geometric (no refraction), as the definitions of sunrise and twilight count it.
 */
final readonly class Sun
{
    /** TT - UT1, s; slow to change, and 10 s of error move the sun by 0.0001 degree. */
    private const DELTA_T = 69.2;

    /** Refraction at the horizon and the sun's half width: the centre stands so low when its rim rises or sets. */
    public const RISE = -0.833 * Angle::DEGREE;

    /**
     * @param  float  $azimuth  clockwise from true north, rad in [0, 2 pi)
     * @param  float  $altitude  rad
     */
    public function __construct(public float $azimuth, public float $altitude)
    {
    }

    /** @param  float  $time  seconds since 1970, UTC */
    public static function at(float $time, GeoPoint $place): self
    {
        [$rightAscension, $declination] = self::equatorial($time);
        $hour = self::siderealTime($time) + $place->longitude * Angle::DEGREE - $rightAscension;
        $latitude = $place->latitude * Angle::DEGREE;
        $altitude = asin(max(-1.0, min(1.0, sin($latitude) * sin($declination) + cos($latitude) * cos($declination) * cos($hour))));
        // Meeus 13.5 counts from the south; pi more is from the north.
        $azimuth = atan2(sin($hour), cos($hour) * sin($latitude) - tan($declination) * cos($latitude)) + M_PI;

        return new self(fmod($azimuth + 2 * M_PI, 2 * M_PI), $altitude);
    }

    /**
     * How much light is left, s: until the sun's rim is gone, looked at minute by minute.
     *
     * @param  float  $time  seconds since 1970, UTC
     * @return float 0 where it is down; a day where it does not set in one
     */
    public static function lightLeft(float $time, GeoPoint $place): float
    {
        for ($left = 0.0; $left < 86400.0; $left += 60.0) {
            if (self::at($time + $left, $place)->altitude < self::RISE) {
                return $left;
            }
        }

        return 86400.0;
    }

    /** Sun's height above the horizon as it is seen: Meeus 16.4, at 1010 hPa and 10 degrees; rad. */
    public function refracted(): float
    {
        $h = $this->altitude / Angle::DEGREE;

        return $h < -1 ? $this->altitude : $this->altitude + 1.02 / 60 / tan(($h + 10.3 / ($h + 5.11)) * Angle::DEGREE) * Angle::DEGREE;
    }

    /** Length of the shadow of something upright over its height; null where the sun is down. */
    public function shadow(): ?float
    {
        return $this->altitude <= 0 ? null : 1 / tan($this->altitude);
    }

    /** Angle between the sun and a view, rad: 0 looks into it. */
    public function fromView(float $heading, float $tilt): float
    {
        return acos(max(
            -1.0, min(1.0, cos($tilt) * cos($this->altitude) * cos($this->azimuth - $heading) + sin($tilt) * sin($this->altitude)),
        ));
    }

    /** Instant at 0 h UTC of a day, s since 1970. */
    public static function day(string $date): float
    {
        if (preg_match('/^(\d{4})-(\d{2})-(\d{2})$/', $date, $m) !== 1 || ! checkdate((int) $m[2], (int) $m[3], (int) $m[1])) {
            throw new Refusal(Fact::of('sun.is-no-day', date: $date), 'date', Fact::of('sun.day-such-2026-06'));
        }

        return (float) gmmktime(0, 0, 0, (int) $m[2], (int) $m[3], (int) $m[1]);
    }

    /** Julian centuries of terrestrial time since 2000 January 1.5. */
    private static function centuries(float $time): float
    {
        return ($time / 86400 + 2440587.5 + self::DELTA_T / 86400 - 2451545.0) / 36525;
    }

    /**
     * Apparent right ascension and declination (Meeus ch. 25).
     *
     * @return array{float, float} rad
     */
    public static function equatorial(float $time): array
    {
        $t = self::centuries($time);
        $longitude = 280.46646 + 36000.76983 * $t + 0.0003032 * $t * $t;
        $anomaly = (357.52911 + 35999.05029 * $t - 0.0001537 * $t * $t) * Angle::DEGREE;
        $centre = (
            1.914602 - 0.004817 * $t - 0.000014 * $t * $t
        ) * sin($anomaly) + (0.019993 - 0.000101 * $t) * sin(2 * $anomaly) + 0.000289 * sin(3 * $anomaly);
        $node = (125.04 - 1934.136 * $t) * Angle::DEGREE;
        $apparent = ($longitude + $centre - 0.00569 - 0.00478 * sin($node)) * Angle::DEGREE;
        $obliquity = self::obliquity($t) + 0.00256 * Angle::DEGREE * cos($node);

        return [atan2(cos($obliquity) * sin($apparent), cos($apparent)), asin(sin($obliquity) * sin($apparent))];
    }

    /** Apparent sidereal time at Greenwich, rad (Meeus 12.4, with the nutation's largest term). */
    private static function siderealTime(float $time): float
    {
        $days = $time / 86400 + 2440587.5 - 2451545.0;
        $t = $days / 36525;
        $mean = 280.46061837 + 360.98564736629 * $days + 0.000387933 * $t * $t - $t ** 3 / 38710000;
        $nutation = -17.20 / 3600 * sin((125.04 - 1934.136 * $t) * Angle::DEGREE) - 1.32 / 3600 * sin(
            2 * (280.4665 + 36000.7698 * $t) * Angle::DEGREE,
        );

        return fmod($mean + $nutation * cos(self::obliquity($t)), 360.0) * Angle::DEGREE;
    }

    /** Mean obliquity of the ecliptic, rad (Meeus 22.2, first terms). */
    private static function obliquity(float $t): float
    {
        return (23.439291 - 0.0130042 * $t) * Angle::DEGREE;
    }
}
