<?php

declare(strict_types=1);

namespace Words;

use Larkspur\Measure\Angle;
use Larkspur\Measure\Dimension;
use Larkspur\Measure\Quantity;

/** Quantities as a reader writes them: digits and unit. Factors of feet and miles an hour are exact (1959). */
final readonly class Measures
{
    private const FOOT = 0.3048;

    private const MILE_PER_HOUR = 0.44704;

    private function __construct()
    {
    }

    /** @param  ?int  $places  digits behind the point; as many as the size asks for where null */
    public static function say(Quantity $quantity, Reader $reader, ?int $places = null): string
    {
        if ($quantity->dimension === Dimension::Moment) {
            return self::clock($quantity->value);
        }
        [$value, $unit] = self::inUnits($quantity, $reader);
        $digits = self::digits($value, $places);

        return match ($unit) {
            '' => $digits,
            '°' => $digits.' degree'.($digits === '1' ? '' : 's'),
            default => $digits.' '.$unit,
        };
    }

    /**
     * Value and unit in the reader's choice.
     *
     * @return array{float, string}
     */
    public static function inUnits(Quantity $quantity, Reader $reader): array
    {
        $value = $quantity->value;

        return match ($quantity->dimension) {
            Dimension::Length => $reader->feet() ? [$value / self::FOOT, 'ft'] : [$value, 'm'],
            Dimension::Speed => $reader->feet() ? [$value / self::MILE_PER_HOUR, 'mph'] : [$value, 'm/s'],
            Dimension::Acceleration => $reader->feet() ? [$value / self::FOOT, 'ft/s²'] : [$value, 'm/s²'],
            Dimension::Angle => [$value / Angle::DEGREE, '°'],
            Dimension::AngularRate => [$value / Angle::DEGREE, '°/s'],
            Dimension::AngularAcceleration => [$value / Angle::DEGREE, '°/s²'],
            Dimension::Time => abs($value) >= 120 ? [$value / 60, 'min'] : [$value, 's'],
            Dimension::Share => [100 * $value, '%'],
            Dimension::SharePerSecond => [100 * $value, '%/s'],
            Dimension::Temperature => [$value, '°C'],
            Dimension::Points => [$value, 'points'],
            Dimension::Times => [$value, 'times'],
            Dimension::Moment, Dimension::Number => [$value, ''],
        };
    }

    /** A number as people read it: fixed places, a true minus sign, and never "-0". */
    public static function digits(float $value, ?int $places = null): string
    {
        $places ??= abs($value) >= 10 ? 0 : (abs($value) >= 1 ? 1 : 2);
        $text = number_format($value, $places, '.', '');

        return str_replace('-', "\u{2212}", (float) $text === 0.0 ? number_format(0, $places, '.', '') : $text);
    }

    /** Seconds as the field says them: 0:31.2. Rounded first, so that 59.96 s is 1:00.0. */
    public static function clock(float $seconds): string
    {
        $tenths = (int) round(10 * max(0.0, $seconds));

        return sprintf('%d:%04.1f', intdiv($tenths, 600), ($tenths % 600) / 10);
    }
}
