<?php

declare(strict_types=1);

namespace Larkspur\Telemetry;

use Larkspur\Refusal;

/**
 * Reads the gx:Track elements of a KML 2.2 file: when and where, and any column of the Flight CSV contract that stands in
 * a gx:SimpleArrayData of its name. gx:angles is a model's attitude and not a lens's, so it is not read as one.
 */
final class KmlReader implements LogReader
{
    private const EXTENSION = 'http://www.google.com/kml/ext/2.2';

    public function read(mixed $stream, ?callable $progress = null): FlightLog
    {
        $rows = new SampleRows(['t', 'lat', 'lon', 'alt_m']);
        $whens = $coords = $arrays = [];
        $array = null;
        $inTrack = false;
        $first = null;
        $modes = 0;
        $root = true;
        $finish = static function (int $line) use (&$whens, &$coords, &$arrays, &$first, &$modes, $rows): void {
            if (count($whens) !== count($coords)) {
                throw new Refusal(sprintf('A track has %d times and %d places.', count($whens), count($coords)), 'line '.$line, 'one <when> for each <gx:coord>');
            }
            foreach ($coords as $i => [$text, $at]) {
                $values = self::values($text, $whens[$i], $at, $rows);
                if ($values === null) {
                    continue;
                }
                foreach ($arrays as $name => $column) {
                    if ($name !== 'flight_mode') {
                        $values[$name] = is_numeric($column[$i] ?? null) ? ($rows->inRange($name, (float) $column[$i], $column[$i], $at) ?? NAN) : NAN;
                    }
                }
                $first ??= $values['t'];
                $mode = $arrays['flight_mode'][$i] ?? '';
                $modes += $mode === '' ? 0 : 1;
                $rows->add([...$values, 't' => round($values['t'] - $first, 4)], $at, $mode);
            }
            $whens = $coords = $arrays = [];
        };
        XmlEvents::read(
            $stream,
            static function (string $name, array $attributes, int $line) use (&$inTrack, &$array, &$root): void {
                if ($root) {
                    $root = false;
                    if (GpxReader::local($name) !== 'kml') {
                        throw new Refusal(sprintf('This file begins with <%s>.', GpxReader::local($name)), 'line '.$line, 'a KML file');
                    }
                }
                if ($name === self::EXTENSION.' Track') {
                    $inTrack = true;
                }
                if ($inTrack && $name === self::EXTENSION.' SimpleArrayData') {
                    $known = $attributes['name'] ?? '';
                    $array = $known === 'flight_mode' || in_array($known, [...FlightLog::REQUIRED, ...FlightLog::OPTIONAL], true) ? $known : null;
                }
            },
            static function (string $name, string $text, int $line) use (&$inTrack, &$array, &$whens, &$coords, &$arrays, $finish): void {
                if (! $inTrack) {
                    return;
                }
                match (true) {
                    GpxReader::local($name) === 'when' => $whens[] = $text,
                    $name === self::EXTENSION.' coord' => $coords[] = [$text, $line],
                    $name === self::EXTENSION.' value' && $array !== null => $arrays[$array][] = $text,
                    $name === self::EXTENSION.' SimpleArrayData' => $array = null,
                    default => null,
                };
                if ($name === self::EXTENSION.' Track') {
                    $finish($line);
                    $inTrack = false;
                }
            },
            $progress,
        );
        if ($first === null) {
            throw new Refusal('There is no track with times in this file.', 'gx:Track', 'a <gx:Track> of <when> and <gx:coord>');
        }

        return GpxReader::told($rows, $first, $modes > 0);
    }

    /** @return ?array<string, float> */
    private static function values(string $coord, string $when, int $line, SampleRows $rows): ?array
    {
        if ($coord === '') {
            return $rows->leaveOut($line, 'lat', 'The place is missing.');
        }
        $parts = preg_split('/\s+/', $coord);
        if ($parts === false || count($parts) < 2 || count($parts) > 3 || array_filter($parts, static fn (string $part): bool => ! is_numeric($part)) !== []) {
            return $rows->leaveOut($line, 'lat', sprintf('“%s” is not “longitude latitude height”, with spaces between.', mb_strimwidth($coord, 0, 40, '…')));
        }
        $time = Clock::dateTime($when);
        if ($time === null) {
            return $rows->leaveOut($line, 't', sprintf('“%s” is not a date and time of XML.', mb_strimwidth($when, 0, 40, '…')));
        }
        $values = ['t' => $time];
        foreach (['lon' => 0, 'lat' => 1, 'alt_m' => 2] as $name => $place) {
            $value = $rows->inRange($name, (float) ($parts[$place] ?? 0.0), $parts[$place] ?? '0', $line);
            if ($value === null) {
                return null;
            }
            $values[$name] = $value;
        }

        return $values;
    }
}
