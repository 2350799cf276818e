<?php

declare(strict_types=1);

namespace Larkspur\Telemetry;

use Larkspur\Fact;
use Larkspur\Measure\Statistics;

/**
 * What the columns of an unknown CSV probably are, by the words of their names and by their values, for a person to confirm.
 * Words are those of aviation and surveying at large; each guess says whether its unit was stated or assumed.
 */
final readonly class ColumnGuess
{
    /**
     * Words by which a quantity goes, the surest first; all words of one entry must stand in the name. English, German, French and Spanish,
     * without their accents, and what people shorten them to.
     */
    private const WORDS = [
        't' => [
            ['timestamp'], ['time'], ['datetime'], ['elapsed'], ['seconds'], ['zeit'], ['zeitstempel'], ['temps'], ['heure'],
            ['horodatage'], ['tiempo'], ['hora'], ['ts'], ['t'],
        ],
        'lat' => [['latitude'], ['lat'], ['breite'], ['breitengrad'], ['latitud'], ['y']],
        'lon' => [['longitude'], ['lon'], ['lng'], ['long'], ['lange'], ['laenge'], ['langengrad'], ['laengengrad'], ['longitud'], ['x']],
        'gimbal_tilt_deg' => [
            ['gimbal', 'pitch'], ['camera', 'pitch'], ['gimbal', 'tilt'], ['camera', 'tilt'], ['lens', 'tilt'], ['tilt'],
            ['kamera', 'neigung'], ['kameraneigung'], ['neigung'], ['inclinaison'], ['inclinacion'],
        ],
        'gimbal_roll_deg' => [['gimbal', 'roll'], ['camera', 'roll']],
        'alt_m' => [
            ['altitude'], ['alt'], ['elevation'], ['ele'], ['height'], ['hohe'], ['hoehe'], ['hauteur'], ['altitud'], ['altura'], ['hgt'],
        ],
        'heading_deg' => [
            ['heading'], ['yaw'], ['compass'], ['azimuth'], ['bearing'], ['hdg'], ['kurs'], ['gierwinkel'], ['cap'], ['rumbo'],
        ],
        'wind_mps' => [['wind', 'speed'], ['wind']],
        'wind_from_deg' => [['wind', 'from'], ['wind', 'direction']],
        'climb_mps' => [
            ['climb', 'rate'], ['vertical', 'speed'], ['climb'], ['vspeed'], ['sink'], ['steigrate'], ['steiggeschwindigkeit'],
            ['vitesse', 'verticale'], ['velocidad', 'vertical'], ['vs'], ['vz'],
        ],
        'speed_mps' => [
            ['ground', 'speed'], ['horizontal', 'speed'], ['speed'], ['velocity'], ['geschwindigkeit'], ['vitesse'], ['velocidad'], ['spd'],
            ['vel'],
        ],
        'stick_climb' => [['stick', 'climb'], ['throttle'], ['gas']],
        'stick_turn' => [['stick', 'turn'], ['rudder'], ['stick', 'yaw'], ['seitenruder']],
        'stick_run' => [['stick', 'run'], ['elevator'], ['stick', 'pitch'], ['hohenruder']],
        'stick_slide' => [['stick', 'slide'], ['aileron'], ['stick', 'roll'], ['querruder']],
        'stick_tilt' => [['stick', 'tilt'], ['wheel']],
        'recording' => [['recording'], ['is', 'recording']],
        'zoom' => [['zoom']],
    ];

    /** Words that are a name only where they stand alone: maps write places so. */
    private const ALONE = [['x'], ['y']];

    /** Words that keep a column from being a quantity. */
    private const NOT = [
        'heading_deg' => ['gimbal', 'camera', 'home'], 'alt_m' => ['home', 'max', 'limit'], 'lat' => ['home', 'subject'],
        'lon' => ['home', 'subject'],
        'speed_mps' => ['wind', 'vertical', 'verticale', 'max', 'air'], 't' => ['flight', 'remaining', 'record'], 'climb_mps' => ['stick'],
        'gimbal_tilt_deg' => ['stick', 'wheel'],
        'wind_mps' => ['from', 'direction'],
    ];

    /** Units as people write them in a column's name. */
    private const WRITTEN = [
        'ft/min' => 'ft/min', 'fpm' => 'ft/min', 'km/h' => 'km/h', 'kmh' => 'km/h', 'kph' => 'km/h', 'mph' => 'mph', 'kn' => 'kn',
        'kt' => 'kn', 'kts' => 'kn', 'knots' => 'kn',
        'ft/s' => 'ft/s', 'fps' => 'ft/s', 'm/s' => 'm/s', 'mps' => 'm/s', 'cm/s' => 'cm/s', 'feet' => 'ft', 'ft' => 'ft', 'metres' => 'm',
        'meters' => 'm', 'mm' => 'mm', 'cm' => 'cm', 'm' => 'm',
        'degrees' => 'deg', 'degree' => 'deg', 'deg' => 'deg', '°' => 'deg', 'radians' => 'rad', 'rad' => 'rad', 'ms' => 'ms',
        'millisecond' => 'ms', 'milliseconds' => 'ms', 'us' => 'us', 'µs' => 'us',
        'microseconds' => 'us', 'seconds' => 's', 'sec' => 's', 's' => 's', 'e7' => '1e-7 deg',
    ];

    /**
     * @param  array<string, array{column: string, unit: string, sure: bool, why: Fact, samples: list<string>}>  $columns  by contract name
     * @param  list<string>  $unused  columns that state nothing known
     */
    private function __construct(public array $columns, public array $unused)
    {
    }

    /**
     * @param  list<string>  $headers
     * @param  list<list<string>>  $rows  the first rows of the file, decimal points in place
     */
    public static function of(array $headers, array $rows): self
    {
        $columns = [];
        $taken = [];
        $found = [];
        foreach ($headers as $place => $header) {
            foreach (self::WORDS as $name => $choices) {
                $rank = self::rank($name, $header, $choices);
                if ($rank !== null) {
                    $found[] = [$rank, $place, $name];
                }
            }
        }
        usort($found, static fn (array $a, array $b): int => [$a[0], $a[1]] <=> [$b[0], $b[1]]);
        foreach ($found as [, $place, $name]) {
            if (isset($columns[$name]) || isset($taken[$place])) {
                continue;
            }
            $cells = array_map(static fn (array $row): string => trim($row[$place] ?? ''), $rows);
            $guess = $name === 't' ? self::clock($headers[$place], $cells) : self::unit($name, $headers[$place], $cells);
            if ($guess !== null) {
                $columns[$name] = [
                    'column' => trim($headers[$place]), 'unit' => $guess[0], 'sure' => $guess[1], 'why' => $guess[2],
                    'samples' => self::samples($cells),
                ];
                $taken[$place] = true;
            }
        }
        foreach ($headers as $place => $header) {
            if (
                ! isset($taken[$place], $columns['flight_mode'])
                && in_array('mode', self::words($header), true)
                && in_array('flight', self::words($header), true)
            ) {
                $columns['flight_mode'] = [
                    'column' => trim($header), 'unit' => '', 'sure' => true, 'why' => Fact::of('column-guess.by-its-name'),
                    'samples' => self::samples(array_map(static fn (array $row): string => trim($row[$place] ?? ''), $rows)),
                ];
                $taken[$place] = true;
            }
        }

        return new self($columns, array_values(array_map(trim(...), array_diff_key($headers, $taken))));
    }

    public function mapping(): ColumnMapping
    {
        return new ColumnMapping(array_map(
            static fn (array $column): array => ['column' => $column['column'], 'unit' => $column['unit']], $this->columns,
        ));
    }

    /**
     * @return array{
     *     columns: array<string, array{column: string, unit: string, sure: bool, why: Fact, samples: list<string>}>, unused: list<string>,
     * }
     */
    public function toArray(): array
    {
        return ['columns' => $this->columns, 'unused' => $this->unused];
    }

    /**
     * Three values of a column, from its beginning, its middle and its end.
     *
     * @param  list<string>  $cells
     * @return list<string>
     */
    private static function samples(array $cells): array
    {
        $filled = array_values(array_filter($cells, static fn (string $cell): bool => $cell !== ''));
        $last = count($filled) - 1;

        return $last < 0 ? [] : array_values(array_unique([$filled[0], $filled[intdiv($last, 2)], $filled[$last]]));
    }

    /**
     * How well a name fits, 0 the best; null where it does not.
     *
     * @param  list<list<string>>  $choices
     */
    private static function rank(string $name, string $header, array $choices): ?int
    {
        $words = self::words($header);
        if (array_intersect($words, self::NOT[$name] ?? []) !== []) {
            return null;
        }
        foreach ($choices as $rank => $needed) {
            if (array_diff($needed, $words) === [] && ($words === $needed || ! in_array($needed, self::ALONE, true))) {
                // A name of one more word than needed is a little less sure than the bare one.
                return 10 * $rank + min(9, count(array_diff($words, $needed, array_keys(self::WRITTEN))));
            }
        }

        return null;
    }

    /** @return list<string> lower-case words of a name: "gimbalPitch [deg]" is gimbal, pitch, deg */
    private static function words(string $header): array
    {
        $spaced = (string) preg_replace('/(?<=[a-z])(?=[A-Z])/u', ' ', trim($header));
        $bare = (string) preg_replace('/\p{Mn}/u', '', self::decomposed($spaced));
        $words = preg_split('/[^a-zµμ°0-9\/]+/u', mb_strtolower($bare));

        return array_values(array_filter($words === false ? [] : $words, static fn (string $word): bool => $word !== ''));
    }

    /** A text whose accents stand behind their letters. */
    private static function decomposed(string $text): string
    {
        $apart = \Normalizer::normalize($text, \Normalizer::FORM_D);

        return is_string($apart) ? $apart : $text;
    }

    /**
     * @param  list<string>  $cells
     * @return ?array{string, bool, Fact} clock, whether it was stated, and why it is this one
     */
    private static function clock(string $header, array $cells): ?array
    {
        $filled = array_values(array_filter($cells, static fn (string $cell): bool => $cell !== ''));
        if ($filled === []) {
            return null;
        }
        foreach ([Clock::DateTime, Clock::TimeOfDay] as $clock) {
            if ($clock->seconds($filled[0]) !== null && ! is_numeric($filled[0])) {
                return [
                    $clock->value, true,
                    $clock === Clock::DateTime ? Fact::of('column-guess.dates-times') : Fact::of('column-guess.times-day'),
                ];
            }
        }
        $numbers = self::numbers($filled);
        if ($numbers === []) {
            return null;
        }
        $stated = self::statedUnit($header, array_column(Clock::cases(), 'value'));
        if ($stated !== null) {
            return [$stated, true, Fact::of('column-guess.by-its-name')];
        }
        $size = abs($numbers[0]);
        $steps = [];
        for ($i = 1, $n = count($numbers); $i < $n; $i++) {
            $steps[] = $numbers[$i] - $numbers[$i - 1];
        }
        $step = Statistics::median($steps);

        return match (true) {
            $size > 1e14 => ['us', true, Fact::of('column-guess.counts-microseconds-since-1970')],
            $size > 1e11 => ['ms', true, Fact::of('column-guess.counts-milliseconds-since-1970')],
            $size > 1e8 => ['s', true, Fact::of('column-guess.counts-seconds-since-1970')],
            // No log is sampled once in five seconds; many are every 20 to 200 ms.
            $step >= 5000 => ['us', false, Fact::of('column-guess.steps-of', step: $step)],
            $step >= 5 => ['ms', false, Fact::of('column-guess.steps-of', step: $step)],
            default => ['s', false, Fact::of('column-guess.steps-of-2', step: $step)],
        };
    }

    /**
     * @param  list<string>  $cells
     * @return ?array{string, bool, Fact}
     */
    private static function unit(string $name, string $header, array $cells): ?array
    {
        $numbers = self::numbers($cells);
        if (count($numbers) < 0.5 * count($cells)) {
            return null;
        }
        $units = array_map(strval(...), array_keys(ColumnMapping::UNITS[$name]));
        $least = $numbers === [] ? 0.0 : min($numbers);
        $most = $numbers === [] ? 0.0 : max($numbers);
        $size = max(abs($least), abs($most));
        $stated = self::statedUnit($header, $units);
        if ($name === 'gimbal_tilt_deg' && ($stated === null || $stated === 'deg') && $least >= 0 && $most > 8 && $most <= 95) {
            return ['deg, down positive', false, Fact::of('column-guess.lens-looks-far-up', least: $least, most: $most)];
        }
        if ($stated !== null) {
            return [$stated, true, Fact::of('column-guess.by-its-name')];
        }

        return match (true) {
            in_array($name, ['lat', 'lon'], true) => $size > 360
                ? ['1e-7 deg', true, Fact::of('column-guess.large-whole-numbers')]
                : ['deg', true, Fact::of('column-guess.by-its-size')],
            in_array($name, ['heading_deg', 'gimbal_tilt_deg', 'gimbal_roll_deg'], true)
                && $size > 3600 => ['0.01 deg', false, Fact::of('column-guess.up-to', size: $size)],
            in_array($name, ['heading_deg', 'gimbal_tilt_deg', 'gimbal_roll_deg'], true)
                && $size > 400 => ['0.1 deg', false, Fact::of('column-guess.up-to', size: $size)],
            in_array($name, ['heading_deg', 'gimbal_tilt_deg'], true)
                && $size > 0.02
                && $size <= 2 * M_PI
                && self::isFine($numbers) => ['rad', false, Fact::of('column-guess.never-beyond', size: $size)],
            str_starts_with($name, 'stick_') => match (true) {
                $size > 900 => ['1000 to 2000', false, Fact::of('column-guess.to', least: $least, most: $most)],
                $least < 0 => [
                    $size > 1.5 ? '-100 to 100' : '-1 to 1', $size > 1.5, Fact::of('column-guess.to-2', least: $least, most: $most),
                ],
                default => [$size > 1.5 ? '0 to 100' : '-1 to 1', false, Fact::of('column-guess.to-2', least: $least, most: $most)],
            },
            // No aircraft of ours flies above 12 km: so large a height is counted in something smaller.
            in_array($name, ['alt_m', 'subject_alt_m'], true)
                && $size > 12000 => ['mm', false, Fact::of('column-guess.up-to', size: $size)],
            default => [$units[0], in_array($name, ['zoom', 'recording'], true), Fact::of('column-guess.assumed')],
        };
    }

    /** @param  list<string>  $units */
    private static function statedUnit(string $header, array $units): ?string
    {
        foreach (array_reverse(self::words($header)) as $word) {
            $unit = self::WRITTEN[$word] ?? null;
            if ($unit !== null && in_array($unit, $units, true)) {
                return $unit;
            }
        }

        return null;
    }

    /**
     * @param  list<string>  $cells
     * @return list<float>
     */
    private static function numbers(array $cells): array
    {
        return array_values(array_map(floatval(...), array_filter($cells, is_numeric(...))));
    }

    /**
     * Whether values change in steps finer than a tenth: degrees logged so finely would not stay below 6.3.
     *
     * @param  list<float>  $numbers
     */
    private static function isFine(array $numbers): bool
    {
        return array_filter($numbers, static fn (float $x): bool => abs($x * 10 - round($x * 10)) > 1e-6) !== [];
    }
}
