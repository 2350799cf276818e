<?php

declare(strict_types=1);

namespace Tests\Checks;

use Documents\Light\SunDayDocument;
use Larkspur\Geo\GeoPoint;
use Larkspur\Measure\Angle;
use Larkspur\Measure\SeededNoise;
use Larkspur\Refusal;
use Larkspur\Site\Light;
use Larkspur\Site\Sun;
use Larkspur\Site\SunDay;
use Larkspur\Site\Zone;
use PHPUnit\Framework\TestCase;

use function Tests\said;

/**
 * The sun against J. Meeus, Astronomical Algorithms, 2nd ed. (1998), worked examples (from memory, recomputed), tables of two
 * independent implementations (VSOP87 and the NREL algorithm of Reda and Andreas, 2004), and the library astronomy-engine, run here.
 */
final class LightTest extends TestCase
{
    private const PLACES = [
        'London' => [51.5074, -0.1278], 'Quito' => [-0.1807, -78.4678], 'Sydney' => [-33.8688, 151.2093], 'Tokyo' => [35.6762, 139.6503],
        'Denver' => [39.7392, -104.9903], 'Auckland' => [-36.8485, 174.7633], 'Helsinki' => [60.1699, 24.9384],
        'Reykjavik' => [64.1466, -21.9426], 'Tromsø' => [69.6492, 18.9553], 'Longyearbyen' => [78.2232, 15.6267],
    ];

    /** Where the sun does not set one sees all night (the polar circle; any almanac); elsewhere from dawn to dusk, on three days. */
    public function test_daylight_is_told_beyond_midnight(): void
    {
        $summer = Light::daylight('2026-06-21', new GeoPoint(69.5, -0.4, 0.0));
        self::assertCount(1, $summer);
        self::assertEqualsWithDelta(3 * 86400.0, $summer[0][1] - $summer[0][0], 600.0);
        $winter = Light::daylight('2026-12-21', new GeoPoint(57.6, -0.4, 0.0));
        self::assertCount(3, $winter);
        foreach ($winter as [$from, $to]) {
            // Civil dawn and dusk at 57.6 north about the solstice, from memory of the almanac: some 8.3 hours.
            self::assertEqualsWithDelta(8.3, ($to - $from) / 3600, 0.2);
        }
    }

    public function test_meeus_example_25a_the_apparent_place_of_the_sun(): void
    {
        // 1992 October 13, 0 h TD: right ascension 198.38083, declination -7.78507 degrees. The date is in TD: 59 s of UT less.
        [$rightAscension, $declination] = Sun::equatorial(Sun::day('1992-10-13') - 69.2);

        self::assertEqualsWithDelta(198.38083, fmod(rad2deg($rightAscension) + 360, 360), 2e-5);
        self::assertEqualsWithDelta(-7.78507, rad2deg($declination), 2e-5);
    }

    public function test_positions_of_two_independent_series(): void
    {
        foreach (Reference::table('sun-position') as $row) {
            [$latitude, $longitude] = array_map(floatval(...), explode(',', (string) $row[2]));
            $sun = Sun::at((float) strtotime((string) $row[1]), new GeoPoint($latitude, $longitude));
            foreach ([[7, 8], [9, 10]] as [$azimuth, $altitude]) {
                self::assertEqualsWithDelta((float) $row[$altitude], rad2deg($sun->altitude), 0.02, (string) $row[0]);
                $off = rad2deg(Angle::wrap($sun->azimuth - deg2rad((float) $row[$azimuth]))) * cos($sun->altitude);
                self::assertEqualsWithDelta(0.0, $off, 0.02, (string) $row[0]);
            }
            if ((float) $row[6] > 0) {
                self::assertEqualsWithDelta((float) $row[6], rad2deg($sun->refracted()), 0.02, (string) $row[0]);
            }
        }
    }

    public function test_the_nrel_example(): void
    {
        // Reda and Andreas (2004), worked example: zenith 50.11162, azimuth 194.34024 at 820 mbar and 11 C; Meeus agrees to 0.01.
        $sun = Sun::at((float) strtotime('2003-10-17T19:30:30Z'), new GeoPoint(39.742476, -105.1786));

        self::assertEqualsWithDelta(194.34024, rad2deg($sun->azimuth), 0.02);
        self::assertEqualsWithDelta(90 - 50.11162, rad2deg($sun->refracted()), 0.02);
    }

    public function test_events_of_the_table(): void
    {
        $checked = 0;
        foreach (Reference::table('sun-events') as $row) {
            $day = SunDay::of((string) $row[1], new GeoPoint(...self::PLACES[(string) $row[0]]));
            $month = substr((string) $row[1], 0, 8);
            self::assertEqualsWithDelta(self::instant($month, (string) $row[2]), $day->noon, 30, "{$row[0]} noon");
            foreach ([
                [3, 4, SunDay::BLUE_FOOT], [5, 6, SunDay::GOLDEN_FOOT], [7, 8, Sun::RISE], [9, 10, SunDay::GOLDEN_TOP],
            ] as [$up, $down, $altitude]) {
                foreach ([[$up, 0], [$down, 1]] as [$column, $way]) {
                    $expected = self::instant($month, (string) $row[$column]);
                    $found = $day->crossing($altitude)[$way];
                    self::assertSame($expected === null, $found === null, "{$row[0]} {$row[1]} column $column");
                    if ($expected !== null && $found !== null) {
                        self::assertEqualsWithDelta($expected, $found, 30, "{$row[0]} {$row[1]} column $column");
                        $checked++;
                    }
                }
            }
        }
        self::assertGreaterThan(70, $checked);
    }

    public function test_the_light_that_is_left_ends_where_the_day_says_that_the_sun_sets(): void
    {
        $place = new GeoPoint(57.6, -0.4);
        [$rises, $sets] = SunDay::of('2026-04-10', $place)->crossing(Sun::RISE);
        self::assertNotNull($rises);
        self::assertNotNull($sets);

        self::assertEqualsWithDelta(5000.0, Sun::lightLeft($sets - 5000.0, $place), 61.0);
        self::assertSame(0.0, Sun::lightLeft($sets + 120.0, $place));
        self::assertSame(0.0, Sun::lightLeft($rises - 120.0, $place), 'Before it rises there is none.');
        self::assertSame(86400.0, Sun::lightLeft($sets, new GeoPoint(89.9, 0.0)), 'It does not set there in April.');
    }

    public function test_a_day_without_rise_or_set_says_so(): void
    {
        foreach (Reference::table('sun-extremes') as $row) {
            $day = SunDayDocument::of(SunDay::of((string) $row[1], new GeoPoint(...self::PLACES[(string) $row[0]])));
            self::assertEqualsWithDelta((float) $row[2], $day->highestDeg, 0.05, (string) $row[0]);
            $state = (string) $row[4];
            self::assertSame(match (true) {
                str_starts_with($state, 'midnight') => 'up', str_starts_with($state, 'polar') => 'down', default => 'sets',
            }, $day->state, (string) $row[0]);
            self::assertSame(
                $day->state === 'sets' && $state === 'normal', $day->sentence === null, (string) $row[0].': '.said($day->sentence),
            );
        }
    }

    public function test_times_agree_with_independent_libraries_within_two_minutes(): void
    {
        $noise = new SeededNoise(61);
        $days = $asked = $plain = [];
        for ($i = 0; $i < 120; $i++) {
            $place = new GeoPoint($noise->between(-60, 60), $noise->between(-180, 180));
            $day = SunDay::of(gmdate('Y-m-d', (int) (1735689600 + 86400 * $noise->between(0, 2000))), $place);
            foreach ([Sun::RISE, SunDay::GOLDEN_TOP, SunDay::GOLDEN_FOOT, SunDay::BLUE_FOOT] as $altitude) {
                $days[] = [$day, $altitude];
                $asked[] = [$day->noon, $place->latitude, $place->longitude, rad2deg($altitude)];
            }
            $plain[] = [$day->noon, $place->latitude, $place->longitude];
        }
        $worst = 0.0;
        $compared = 0;
        foreach (Independent::ask('sunTimes', $asked) as $k => $answer) {
            [$day, $altitude] = $days[$k];
            foreach ($day->crossing($altitude) as $way => $time) {
                if ($time === null) {
                    // Its search begins at noon or half a day before it, and finds events of the next half day too.
                    continue;
                }
                $worst = max($worst, abs($time - $answer[$way]));
                $compared++;
            }
        }
        self::assertGreaterThan(900, $compared);
        self::assertLessThan(120.0, $worst, 'astronomy-engine');
        foreach (Independent::ask('suncalc', $plain) as $k => [$rise, $set]) {
            [$mineRise, $mineSet] = $days[4 * $k][0]->crossing(Sun::RISE);
            self::assertEqualsWithDelta($rise, $mineRise, 120.0, 'suncalc, rise');
            self::assertEqualsWithDelta($set, $mineSet, 120.0, 'suncalc, set');
        }
    }

    public function test_positions_agree_with_an_independent_library(): void
    {
        $noise = new SeededNoise(62);
        $asked = [];
        for ($i = 0; $i < 200; $i++) {
            $asked[] = [1735689600 + round(86400 * $noise->between(0, 2000)), $noise->between(-85, 85), $noise->between(-180, 180)];
        }
        foreach (Independent::ask('sunPositions', $asked) as $k => [$azimuth, $altitude]) {
            [$time, $latitude, $longitude] = $asked[$k];
            $sun = Sun::at($time, new GeoPoint($latitude, $longitude));
            self::assertEqualsWithDelta($altitude, rad2deg($sun->altitude), 0.02);
            self::assertEqualsWithDelta(0.0, rad2deg(Angle::wrap($sun->azimuth - deg2rad($azimuth))) * cos($sun->altitude), 0.02);
        }
    }

    public function test_the_side_the_light_comes_from_and_the_shadow(): void
    {
        foreach (Reference::table('light-angle') as [$azimuth, $altitude, $heading, $tilt, , $angle, $shadow]) {
            $sun = self::sun((float) $azimuth, (float) $altitude);
            self::assertEqualsWithDelta((float) $angle, rad2deg($sun->fromView(deg2rad((float) $heading), deg2rad((float) $tilt))), 1e-3);
            self::assertEqualsWithDelta((float) $shadow, (float) $sun->shadow(), 1e-3);
        }
        $low = self::sun(270, 6);
        self::assertSame('back', Light::from($low, deg2rad(270)));
        self::assertSame('back', Light::from($low, deg2rad(211)));
        self::assertSame('side', Light::from($low, deg2rad(200)));
        self::assertSame('side', Light::from($low, deg2rad(0)));
        self::assertSame('front', Light::from($low, deg2rad(100)));
        self::assertSame('none', Light::from(self::sun(270, -9), deg2rad(270)));
    }

    public function test_a_wanted_light_holds_for_every_heading_of_the_shot(): void
    {
        $day = SunDay::of('2026-06-03', new GeoPoint(57.6, -0.4));
        $golden = new Light('back', 'golden');
        // Looking west-north-west, where the sun of a June evening sets.
        $windows = $golden->windows($day, [deg2rad(300), deg2rad(320)]);
        self::assertCount(1, $windows);
        [$from, $to] = $windows[0];
        foreach ([$from + 2, ($from + $to) / 2, $to - 2] as $t) {
            $sun = Sun::at($t, $day->place);
            self::assertSame('golden', SunDay::phase($sun->altitude));
            self::assertSame('back', Light::from($sun, deg2rad(300)));
            self::assertSame('back', Light::from($sun, deg2rad(320)));
        }
        self::assertFalse($golden->holds(Sun::at($from - 5, $day->place), [deg2rad(300), deg2rad(320)]));
        self::assertSame([], $golden->windows($day, [deg2rad(180)]), 'the golden sun of June never stands in the south');
        self::assertSame([], (new Light('any', 'blue'))->windows(SunDay::of('2024-06-20', new GeoPoint(...self::PLACES['Tromsø'])), [0.0]));
    }

    public function test_a_date_that_is_none_is_refused(): void
    {
        $this->expectException(Refusal::class);
        SunDay::of('2026-02-30', new GeoPoint(57.6, -0.4));
    }

    private static function sun(float $azimuth, float $altitude): Sun
    {
        return new Sun(deg2rad($azimuth), deg2rad($altitude));
    }

    /** "20 02:55:13" of a month, or a dash. */
    private static function instant(string $month, string $cell): ?float
    {
        return preg_match('/^(\d\d) (\d\d:\d\d:\d\d)$/', $cell, $m) === 1 ? (float) strtotime("$month$m[1]T$m[2]Z") : null;
    }

    /** Hours of clocks against the time zone data of ICU, which Node carries: other data than PHP's, from the same IANA database. */
    public function test_clocks_of_time_zones_show_what_icu_says(): void
    {
        $noise = new SeededNoise(31);
        $asked = [];
        foreach ([
            'UTC', 'Pacific/Auckland', 'Europe/London', 'America/St_Johns', 'Asia/Kathmandu', 'Africa/Nairobi', 'Asia/Calcutta',
        ] as $zone) {
            for ($i = 0; $i < 20; $i++) {
                $asked[] = [(int) $noise->between(1735689600, 1798761600), $zone];
            }
        }
        $hours = Independent::ask('hours', $asked);

        self::assertIsArray($hours);
        self::assertCount(140, $hours);
        foreach ($asked as $k => [$time, $zone]) {
            self::assertSame($hours[$k], (new Zone($zone))->hour((float) $time), "$zone at $time");
        }
    }
}
