<?php

declare(strict_types=1);

namespace Larkspur\Telemetry;

use Larkspur\Refusal;

/**
 * Reads the track points of a GPX 1.1 file (1.0 with a note): place, height and time, and any column of the Flight CSV
 * contract that stands among a point's extensions under its own name. Tracks and segments are read as one log.
 */
final class GpxReader implements LogReader
{
    private const NAMESPACE = 'http://www.topografix.com/GPX/1/1';

    public function read(mixed $stream, ?callable $progress = null): FlightLog
    {
        $rows = new SampleRows(['t', 'lat', 'lon', 'alt_m']);
        $point = null;
        $mode = '';
        $heights = $modes = 0;
        $first = null;
        $root = true;
        XmlEvents::read(
            $stream,
            static function (string $name, array $attributes, int $line) use (&$point, &$mode, &$root, $rows): void {
                if ($root) {
                    $root = false;
                    self::checkRoot($name, $attributes, $line, $rows);
                }
                if (self::local($name) === 'trkpt') {
                    $point = array_intersect_key($attributes, ['lat' => '', 'lon' => '']);
                    $mode = '';
                }
            },
            static function (string $name, string $text, int $line) use (&$point, &$mode, &$heights, &$modes, &$first, $rows): void {
                if ($point === null) {
                    return;
                }
                $local = self::local($name);
                if ($local !== 'trkpt') {
                    match (true) {
                        $local === 'ele' => $point['alt_m'] = $text,
                        $local === 'time' => $point['t'] = $text,
                        $local === 'flight_mode' => $mode = $text,
                        in_array($local, [...FlightLog::REQUIRED, ...FlightLog::OPTIONAL], true) => $point[$local] = $text,
                        default => null,
                    };

                    return;
                }
                $values = self::values($point, $line, $rows);
                $point = null;
                if ($values === null) {
                    return;
                }
                $heights += $values['alt_m'] !== 0.0 ? 1 : 0;
                $first ??= $values['t'];
                $modes += $mode === '' ? 0 : 1;
                $rows->add([...$values, 't' => round($values['t'] - $first, 4)], $line, $mode);
            },
            $progress,
        );
        if ($first === null) {
            throw new Refusal('There is no track point with a place and a time in this file.', 'trk', 'a track of <trkpt> with <time>');
        }

        return self::told($rows, $first, $modes > 0);
    }

    /** The log, told apart from what points lacked: the camera columns are those of our own extensions, or none. */
    public static function told(SampleRows $rows, float $first, bool $modes): FlightLog
    {
        $log = $rows->log(array_values(array_diff(['heading_deg', 'gimbal_tilt_deg'], $rows->whole())), $first);
        // A log of 1970 never had a date: its times were seconds since the recording began.
        $relative = $first < 86400.0 * 365;
        $columns = $log->columns;
        if ($relative) {
            $columns['t'] = array_map(static fn (float $t): float => round($t + $first, 4), $columns['t']);
        }

        return new FlightLog($columns, $modes ? $log->flightModes : [], $log->notes, '', $log->lacks, $relative ? null : $first);
    }

    /** @param  array<string, string>  $attributes */
    private static function checkRoot(string $name, array $attributes, int $line, SampleRows $rows): void
    {
        if (self::local($name) !== 'gpx') {
            throw new Refusal(sprintf('This file begins with <%s>.', self::local($name)), 'line '.$line, 'a GPX file');
        }
        if (($attributes['version'] ?? '') !== '1.1' || ! str_starts_with($name, self::NAMESPACE)) {
            $rows->note(new LogNote(sprintf('It says it is GPX %s; it was read like 1.1.', $attributes['version'] ?? 'of no version'), $line));
        }
        if (($attributes['creator'] ?? '') === '') {
            $rows->note(new LogNote('It does not say which program wrote it.', $line));
        }
    }

    /**
     * @param  array<string, string>  $point
     * @return ?array<string, float>
     */
    private static function values(array $point, int $line, SampleRows $rows): ?array
    {
        foreach (['lat', 'lon'] as $name) {
            if (! is_numeric($point[$name] ?? null)) {
                return $rows->leaveOut($line, $name, isset($point[$name]) ? sprintf('“%s” is not a number.', mb_strimwidth($point[$name], 0, 40, '…')) : 'The point has no '.$name.'.');
            }
        }
        $time = Clock::dateTime($point['t'] ?? '');
        if ($time === null) {
            return $rows->leaveOut($line, 't', isset($point['t']) ? sprintf('“%s” is not a date and time of XML.', mb_strimwidth($point['t'], 0, 40, '…')) : 'The point has no time.');
        }
        $values = ['t' => $time, 'alt_m' => is_numeric($point['alt_m'] ?? null) ? (float) $point['alt_m'] : 0.0];
        foreach (array_diff_key($point, ['t' => '', 'alt_m' => '']) as $name => $text) {
            $value = $rows->inRange($name, is_numeric($text) ? (float) $text : NAN, $text, $line);
            if ($value === null) {
                return null;
            }
            // The antimeridian has two names; GPX knows one.
            $values[$name] = $name === 'lon' && $value === 180.0 ? -180.0 : $value;
        }

        return $values;
    }

    public static function local(string $name): string
    {
        $space = strrpos($name, ' ');

        return $space === false ? $name : substr($name, $space + 1);
    }
}
