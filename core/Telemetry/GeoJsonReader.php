<?php

declare(strict_types=1);

namespace Larkspur\Telemetry;

use Larkspur\Fact;
use Larkspur\Refusal;

/**
 * Reads the first LineString with times of a GeoJSON file (RFC 7946): seconds or dates in properties.coordTimes (or times),
 * further columns of the contract in properties.columns. JSON can't be read in pieces, so large files are refused.
 */
final class GeoJsonReader implements LogReader
{
    /** Under which converters write the time of a point. */
    private const TIMES = ['time', 'timestamp', 'Timestamp', 't', 'begin'];

    private const LARGEST = 48 * 1024 * 1024;

    public function read(mixed $stream, ?callable $progress = null): FlightLog
    {
        $text = (string) stream_get_contents($stream, self::LARGEST + 1);
        if (strlen($text) > self::LARGEST) {
            throw new Refusal(Fact::of('geo-json-reader.geojson-file-too-large'), '', Fact::of('geo-json-reader.most-48-mb-same'));
        }
        if ($progress !== null) {
            $progress(strlen($text));
        }
        try {
            $document = json_decode($text, true, 64, JSON_THROW_ON_ERROR);
        } catch (\JsonException $error) {
            throw new Refusal(
                Fact::of('geo-json-reader.not-json', why: lcfirst($error->getMessage())), '', Fact::of('geo-json-reader.geojson-file'),
            );
        }
        unset($text);
        if (is_array($document) && isset($document['crs']) && ! self::isWgs84($document['crs'])) {
            throw new Refusal(
                Fact::of('geo-json-reader.file-names-coordinate-reference'), 'crs', Fact::of('geo-json-reader.wgs-84-degrees-rfc'),
            );
        }
        [$feature, $place] = self::track($document);
        $properties = is_array($feature['properties'] ?? null) ? $feature['properties'] : [];
        $times = $properties['coordTimes'] ?? $properties['times'] ?? null;
        $coordinates = $feature['geometry']['coordinates'];
        if (! is_array($times) || count($times) !== count($coordinates)) {
            throw new Refusal(
                Fact::of('geo-json-reader.line-time-each-positions'), $place.'.properties.coordTimes',
                Fact::of('geo-json-reader.times', count: count($coordinates)),
            );
        }
        $rows = new SampleRows(['t', 'lat', 'lon', 'alt_m']);
        $columns = array_intersect_key(
            is_array($properties['columns'] ?? null) ? $properties['columns'] : [],
            array_flip([...FlightLog::REQUIRED, ...FlightLog::OPTIONAL]),
        );
        $modes = is_array($properties['flight_mode'] ?? null) && count($properties['flight_mode']) === count($coordinates)
            ? $properties['flight_mode']
            : null;
        $first = null;
        $dated = is_string($times[0] ?? null);
        unset($document, $feature, $properties);
        for ($i = 0, $count = count($coordinates); $i < $count; $i++) {
            $values = self::values($coordinates[$i], $times[$i], $i + 1, $rows);
            // A long flight must not stand in memory twice.
            $coordinates[$i] = null;
            if ($values === null) {
                continue;
            }
            foreach ($columns as $name => $column) {
                $value = is_array($column) ? $column[$i] ?? null : null;
                $values[$name] = is_int($value) || is_float($value)
                    ? ($rows->inRange($name, (float) $value, (string) $value, $i + 1) ?? NAN)
                    : NAN;
            }
            $first ??= $dated ? $values['t'] : 0.0;
            $rows->add(
                [...$values, 't' => round($values['t'] - $first, 4)], $i + 1,
                is_string($modes[$i] ?? null) ? $modes[$i] : ($modes === null ? null : ''),
            );
        }

        return $rows->log(array_values(array_diff(['heading_deg', 'gimbal_tilt_deg'], $rows->whole())), $dated ? $first : null);
    }

    /** @return array{array{geometry: array{coordinates: list<mixed>}, properties?: mixed}, string} */
    private static function track(mixed $document): array
    {
        $document = is_array($document) ? $document : [];
        $features = match ($document['type'] ?? null) {
            'FeatureCollection' => is_array($document['features'] ?? null) ? $document['features'] : [],
            'Feature' => [$document],
            default => throw new Refusal(
                Fact::of('geo-json-reader.geojson-feature'), 'type', Fact::of('geo-json-reader.feature-featurecollection'),
            ),
        };
        foreach ($features as $i => $feature) {
            $geometry = is_array($feature) ? $feature['geometry'] ?? null : null;
            if (is_array($geometry) && ($geometry['type'] ?? null) === 'LineString') {
                if (
                    ! is_array($geometry['coordinates'] ?? null)
                    || ! array_is_list($geometry['coordinates'])
                    || count($geometry['coordinates']) < 2
                ) {
                    throw new Refusal(
                        Fact::of('geo-json-reader.line-needs-two-positions'), sprintf('features[%d].geometry.coordinates', $i),
                    );
                }

                return [
                    ['geometry' => ['coordinates' => $geometry['coordinates']], 'properties' => $feature['properties'] ?? null],
                    sprintf('features[%d]', $i),
                ];
            }
        }
        $points = self::points($features);
        if ($points !== null) {
            return [$points, 'features'];
        }
        throw new Refusal(Fact::of('geo-json-reader.line-file'), 'features', Fact::of('geo-json-reader.linestring-coordtimes'));
    }

    /** Whether an old-style reference names the one system that GeoJSON has. */
    private static function isWgs84(mixed $crs): bool
    {
        $name = is_array($crs) && is_array($crs['properties'] ?? null) ? $crs['properties']['name'] ?? '' : '';

        return is_string($name) && preg_match('/(CRS:?:?84|EPSG:(?:[\d.]*:)?4326|WGS ?84)$/i', $name) === 1;
    }

    /**
     * Points that each have a time, as one line; null where there are fewer than two.
     *
     * @param  array<array-key, mixed>  $features
     * @return ?array{geometry: array{coordinates: list<mixed>}, properties: array<string, mixed>}
     */
    private static function points(array $features): ?array
    {
        $coordinates = $times = $columns = $named = [];
        foreach ($features as $feature) {
            $geometry = is_array($feature) ? $feature['geometry'] ?? null : null;
            $properties = is_array($feature) && is_array($feature['properties'] ?? null) ? $feature['properties'] : [];
            $time = array_values(array_intersect_key($properties, array_flip(self::TIMES)))[0] ?? null;
            if (is_array($geometry) && ($geometry['type'] ?? null) === 'Point' && (is_string($time) || is_numeric($time))) {
                foreach ($properties as $name => $value) {
                    $named[$name] ??= FlightLog::columnNamed((string) $name) ?? '';
                    if ($named[$name] !== '' && is_numeric($value)) {
                        $columns[$named[$name]][count($times)] = (float) $value;
                    }
                }
                $place = is_array($geometry['coordinates'] ?? null) ? $geometry['coordinates'] : [];
                // A converter that writes points of a plane keeps the height beside them.
                $coordinates[] = count($place) === 2 && is_numeric($properties['ele'] ?? null)
                    ? [...$place, (float) $properties['ele']]
                    : $place;
                $times[] = match (true) {
                    is_numeric($time) => (float) $time,
                    default => str_replace('/', '-', $time),
                };
            }
        }

        return count($times) < 2 ? null : [
            'geometry' => ['coordinates' => $coordinates], 'properties' => ['coordTimes' => $times, 'columns' => $columns],
        ];
    }

    /** @return ?array<string, float> */
    private static function values(mixed $position, mixed $time, int $number, SampleRows $rows): ?array
    {
        $position = is_array($position) ? array_values(array_filter(
            $position, static fn (mixed $x): bool => is_int($x) || is_float($x),
        )) : [];
        if (count($position) < 2) {
            return $rows->leaveOut($number, 'lat', Fact::of('geo-json-reader.position-not-list-two'));
        }
        $seconds = is_string($time) ? Clock::dateTime($time) : (is_int($time) || is_float($time) ? (float) $time : null);
        if ($seconds === null) {
            return $rows->leaveOut($number, 't', Fact::of('geo-json-reader.time-neither-seconds-nor'));
        }
        $values = ['t' => $seconds];
        foreach (['lon' => 0, 'lat' => 1, 'alt_m' => 2] as $name => $place) {
            $written = $position[$place] ?? 0.0;
            $value = $rows->inRange($name, (float) $written, (string) $written, $number);
            if ($value === null) {
                return null;
            }
            $values[$name] = $value;
        }

        return $values;
    }
}
