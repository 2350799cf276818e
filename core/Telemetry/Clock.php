<?php

declare(strict_types=1);

namespace Larkspur\Telemetry;

/** How a log writes its times: seconds or finer since some start, since 1970, or as a date or time of day in words. */
enum Clock: string
{
    case Seconds = 's';
    case Milliseconds = 'ms';
    case Microseconds = 'us';
    case DateTime = 'datetime';
    case TimeOfDay = 'time-of-day';

    /** Beyond this many seconds a number counts from 1970 (2001-09-09), not from take-off. */
    private const SINCE_1970 = 1e9;

    /** Seconds since the clock's own zero, and whether that is 1970 in UTC; null where it can't be read. */
    public function seconds(string $cell): ?float
    {
        $cell = trim($cell);
        $seconds = match ($this) {
            self::Seconds => is_numeric($cell) ? (float) $cell : null,
            self::Milliseconds => is_numeric($cell) ? (float) $cell / 1e3 : null,
            self::Microseconds => is_numeric($cell) ? (float) $cell / 1e6 : null,
            self::DateTime => self::dateTime($cell),
            self::TimeOfDay => preg_match('/^(\d{1,3}):(\d{2}):(\d{2}(?:[.,]\d+)?)$/', $cell, $m) === 1
                ? 3600 * (int) $m[1] + 60 * (int) $m[2] + (float) str_replace(',', '.', $m[3])
                : null,
        };

        return $seconds !== null && is_finite($seconds) ? $seconds : null;
    }

    /** UTC seconds since 1970 of an ISO 8601 date and time, or of one with a space; without a zone it counts as UTC. */
    public static function dateTime(string $text): ?float
    {
        // Day before month, with dots or slashes, as much of the world writes it.
        $text = (string) preg_replace('/^(\d\d)[.\/](\d\d)[.\/](\d{4})[,T ]\s*/', '$3-$2-$1 ', trim($text));
        $pattern = '/^(-?\d{4,})[-\/](\d\d)[-\/](\d\d)[T ](\d\d):(\d\d):(\d\d)(?:[.,](\d+))?\s*(Z|[+-]\d\d(?::?\d\d)?)?$/';
        if (preg_match($pattern, trim($text), $m) !== 1) {
            return null;
        }
        [, $year, $month, $day, $hour, $minute, $second] = $m;
        if (! checkdate((int) $month, (int) $day, (int) $year) || (int) $hour > 24 || (int) $minute > 59 || (int) $second > 60) {
            return null;
        }
        $zone = $m[8] ?? 'Z';
        $minutes = strlen($zone) > 3 ? (int) substr($zone, -2) : 0;
        $offset = $zone === 'Z' ? 0 : ($zone[0] === '-' ? -1 : 1) * (3600 * (int) substr($zone, 1, 2) + 60 * $minutes);

        return (float) gmmktime(
            (int) $hour, (int) $minute, (int) $second, (int) $month, (int) $day, (int) $year,
        ) - $offset + (float) ('0.'.($m[7] ?? '0'));
    }

    /** Whether a date and time says of which zone it is. */
    public static function namesZone(string $text): bool
    {
        return preg_match('/(?:Z|[+-]\d\d(?::?\d\d)?)$/', trim($text)) === 1 && preg_match('/\d[T ]\d/', trim($text)) === 1;
    }

    /** The same the other way round, to the millisecond. */
    public static function written(float $seconds): string
    {
        $whole = floor(round($seconds, 3));

        return gmdate('Y-m-d\TH:i:s', (int) $whole).sprintf('.%03dZ', (int) round(1000 * (round($seconds, 3) - $whole)));
    }

    /** Whether seconds read by this clock count from 1970. */
    public function isEpoch(float $seconds): bool
    {
        return $this === self::DateTime || $seconds > self::SINCE_1970;
    }
}
