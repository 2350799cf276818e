<?php

declare(strict_types=1);

namespace Larkspur\Site;

use Larkspur\Fact;
use Larkspur\Geo\GeoPoint;
use Larkspur\Measure\Angle;
use Larkspur\Measure\Quantity;
use Larkspur\Measure\Statistics;

/**
 * The sun's way over one day at a place: noon, rise and set, and the golden and blue hours. The day is the solar one that has its noon
 * nearest to noon of the date at that longitude, twelve hours to either side, so an evening far north may end on the next date.
 *
 * Golden (-4 to +6 degrees) and blue (-6 to -4) are photographers' conventions, no standard.
 */
final readonly class SunDay
{
    public const GOLDEN_TOP = 6 * Angle::DEGREE;

    public const GOLDEN_FOOT = -4 * Angle::DEGREE;

    public const BLUE_FOOT = -6 * Angle::DEGREE;

    /** Step at which the day is searched for crossings, s; what crosses twice within it is missed by less than 0.02 degree. */
    private const STEP = 240.0;

    /** @param  list<array{float, float}>  $altitudes  instants and altitudes through the day */
    private function __construct(public GeoPoint $place, public float $noon, public array $altitudes)
    {
    }

    public static function of(string $date, GeoPoint $place): self
    {
        $noon = Sun::day($date) + 43200 - $place->longitude * 240;
        for ($i = 0; $i < 3; $i++) {
            $noon -= self::hourAngle($noon, $place) / (2 * M_PI) * 86400;
        }
        $altitudes = [];
        for ($t = -43200.0; $t <= 43200.0; $t += self::STEP) {
            $altitudes[] = [$noon + $t, Sun::at($noon + $t, $place)->altitude];
        }

        return new self($place, $noon, $altitudes);
    }

    /** How far past the meridian the sun is, rad in (-pi, pi]. */
    private static function hourAngle(float $time, GeoPoint $place): float
    {
        $sun = Sun::at($time, $place);
        [, $declination] = Sun::equatorial($time);
        $latitude = $place->latitude * Angle::DEGREE;
        // From azimuth and altitude back to the hour angle.
        $south = $sun->azimuth - M_PI;
        $sine = sin($south) * cos($sun->altitude) / cos($declination);
        $cosine = (sin($sun->altitude) - sin($latitude) * sin($declination)) / (cos($latitude) * cos($declination));

        return atan2($sine, $cosine);
    }

    /**
     * When the sun's centre passes an altitude, rising and sinking; null where it does not in this day.
     *
     * @return array{?float, ?float} instants, s since 1970
     */
    public function crossing(float $altitude): array
    {
        $rising = $sinking = null;
        for ($i = 1, $n = count($this->altitudes); $i < $n; $i++) {
            [$t0, $a] = $this->altitudes[$i - 1];
            [$t1, $b] = $this->altitudes[$i];
            if (($a < $altitude) === ($b < $altitude)) {
                continue;
            }
            for ($k = 0; $k < 20; $k++) {
                $middle = ($t0 + $t1) / 2;
                if ((Sun::at($middle, $this->place)->altitude < $altitude) === ($a < $altitude)) {
                    $t0 = $middle;
                } else {
                    $t1 = $middle;
                }
            }
            if ($b > $a) {
                $rising ??= $t1;
            } else {
                $sinking = $t1;
            }
        }

        return [$rising, $sinking];
    }

    /** @return 'sets'|'up'|'down' up where it never sets this day, down where it never rises */
    public function state(): string
    {
        $altitudes = array_column($this->altitudes, 1);

        return Statistics::least($altitudes) > Sun::RISE ? 'up' : (Statistics::greatest($altitudes) < Sun::RISE ? 'down' : 'sets');
    }

    /** One sentence where the day is not an ordinary one; empty where it is. */
    public function sentence(): ?Fact
    {
        [$golden] = $this->crossing(self::GOLDEN_FOOT);

        return match (true) {
            $this->state() === 'up' => Fact::of('sun-day.sun-does-not-set'),
            $this->state() === 'down' => Fact::of(
                'sun-day.sun-does-not-rise',
                below: Quantity::degrees(-Statistics::greatest(array_column($this->altitudes, 1)) / Angle::DEGREE),
            ),
            $golden === null => Fact::of('sun-day.sun-sets-but-stays'),
            default => null,
        };
    }

    /** The kind of light at an altitude. */
    public static function phase(float $altitude): string
    {
        return match (true) {
            $altitude >= self::GOLDEN_TOP => 'day',
            $altitude >= self::GOLDEN_FOOT => 'golden',
            $altitude >= self::BLUE_FOOT => 'blue',
            default => 'night',
        };
    }

    /**
     * The stretches of the day in which the light is of a kind.
     *
     * @return list<array{float, float}> instants, s since 1970
     */
    public function stretches(string $phase): array
    {
        return $this->when(static fn (Sun $sun): bool => self::phase($sun->altitude) === $phase);
    }

    /**
     * The stretches of the day in which the sun meets a condition, edges found to the second.
     *
     * @param  callable(Sun): bool  $meets
     * @return list<array{float, float}>
     */
    public function when(callable $meets): array
    {
        $stretches = [];
        $from = null;
        $before = null;
        foreach ($this->altitudes as [$t]) {
            $now = $meets(Sun::at($t, $this->place));
            if ($before !== null && $now !== $before[1]) {
                [$low, $high] = [$before[0], $t];
                while ($high - $low > 1) {
                    $middle = ($low + $high) / 2;
                    if ($meets(Sun::at($middle, $this->place)) === $before[1]) {
                        $low = $middle;
                    } else {
                        $high = $middle;
                    }
                }
                if ($now) {
                    $from = $high;
                } elseif ($from !== null) {
                    $stretches[] = [$from, $low];
                    $from = null;
                }
            } elseif ($before === null && $now) {
                $from = $t;
            }
            $before = [$t, $now];
        }
        if ($from !== null && $before !== null) {
            $stretches[] = [$from, $before[0]];
        }

        return $stretches;
    }

    public static function written(float $time): string
    {
        return gmdate('Y-m-d\TH:i:s\Z', (int) round($time));
    }
}
