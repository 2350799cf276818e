<?php

declare(strict_types=1);

namespace Larkspur\Site;

use Larkspur\Fact;
use Larkspur\Geo\GeoPoint;
use Larkspur\Refusal;

/** Reads the features of a GeoJSON text (RFC 7946) as parts of a site.
 *
 * @phpstan-import-type Feature from SiteImport
 */
final class GeoJsonSiteReader
{
    /** @param  list<GeoPoint>  $known  places that are filmed at */
    public static function read(string $text, ?GeoPoint $home, array $known = []): SiteImport
    {
        try {
            $document = json_decode(str_starts_with($text, "\u{FEFF}") ? substr($text, 3) : $text, true, 64, JSON_THROW_ON_ERROR);
        } catch (\JsonException $fault) {
            throw new Refusal(
                Fact::of('geo-json-site-reader.this-is-no-json', why: $fault->getMessage()), 'file',
                Fact::of('geo-json-site-reader.geojson-text'),
            );
        }
        $features = [];
        $nothing = 0;
        self::gather($document, '', [], $features, $nothing, 'file');

        return SiteImport::of($features, $home, $known, $nothing);
    }

    /**
     * @param  array<string, mixed>  $properties
     * @param  list<Feature>  $features
     * @param  int  $nothing  features without a place
     */
    private static function gather(mixed $node, string $name, array $properties, array &$features, int &$nothing, string $place): void
    {
        if (! is_array($node) || ! is_string($node['type'] ?? null)) {
            throw new Refusal(
                Fact::of('geo-json-site-reader.geojson-object-type'), $place,
                Fact::of('geo-json-site-reader.feature-featurecollection-geometry'),
            );
        }
        $parts = ['FeatureCollection' => 'features', 'GeometryCollection' => 'geometries'][$node['type']] ?? null;
        if ($parts !== null) {
            foreach (is_array($node[$parts] ?? null) ? $node[$parts] : throw new Refusal(
                Fact::of('geo-json-site-reader.it-has-no', parts: $parts), $place, Fact::of('geo-json-site-reader.a-list'),
            ) as $k => $part) {
                self::gather($part, $name, $properties, $features, $nothing, "$place.$parts.$k");
            }

            return;
        }
        if ($node['type'] === 'Feature') {
            /** @var array<string, mixed> $properties */
            $properties = is_array($node['properties'] ?? null) ? $node['properties'] : [];
            $name = is_string($properties['name'] ?? null) ? $properties['name'] : '';
            if (($node['geometry'] ?? null) !== null) {
                self::gather($node['geometry'], $name, $properties, $features, $nothing, "$place.geometry");
            } else {
                $nothing++;
            }

            return;
        }
        $coordinates = $node['coordinates'] ?? null;
        foreach (match ($node['type']) {
            'Point' => [['point', [$coordinates], []]],
            'MultiPoint' => array_map(static fn (mixed $p): array => ['point', [$p], []], self::list($coordinates, $place)),
            'LineString' => [['line', $coordinates, []]],
            'MultiLineString' => array_map(static fn (mixed $line): array => ['line', $line, []], self::list($coordinates, $place)),
            'Polygon' => [self::rings($coordinates, $place)],
            'MultiPolygon' => array_map(static fn (mixed $rings): array => self::rings($rings, $place), self::list($coordinates, $place)),
            default => throw new Refusal(
                Fact::of('geo-json-site-reader.geometry-geojson', type: $node['type']), $place,
                Fact::of('geo-json-site-reader.point-linestring-polygon-also'),
            ),
        } as [$kind, $points, $holes]) {
            $features[] = [
                'kind' => $kind, 'points' => self::points($points, $place), 'name' => $name, 'properties' => $properties,
                'holes' => array_map(static fn (mixed $ring): array => self::points($ring, $place), $holes),
            ];
        }
    }

    /** @return array{'area', mixed, list<mixed>} the outer ring, and the holes in it */
    private static function rings(mixed $coordinates, string $place): array
    {
        $rings = self::list($coordinates, $place);

        return ['area', $rings[0] ?? null, array_slice($rings, 1)];
    }

    /** @return list<mixed> */
    private static function list(mixed $value, string $place): array
    {
        return is_array($value) && array_is_list($value)
            ? $value
            : throw new Refusal(
                Fact::of('geo-json-site-reader.coordinates-list'), "$place.coordinates",
                Fact::of('geo-json-site-reader.lists-longitude-latitude'),
            );
    }

    /** @return non-empty-list<array{float, float, ?float}> */
    private static function points(mixed $value, string $place): array
    {
        $points = [];
        foreach (self::list($value, $place) as $k => $point) {
            [$a, $b, $c] = is_array($point) ? [$point[0] ?? null, $point[1] ?? null, $point[2] ?? null] : [null, null, null];
            if ((! is_int($a) && ! is_float($a)) || (! is_int($b) && ! is_float($b))) {
                throw new Refusal(
                    Fact::of('geo-json-site-reader.this-is-no-place'), "$place.coordinates.$k",
                    Fact::of('geo-json-site-reader.longitude-latitude-degrees-perhaps'),
                );
            }
            $points[] = [(float) $a, (float) $b, is_int($c) || is_float($c) ? (float) $c : null];
        }

        return $points === [] ? throw new Refusal(
            Fact::of('geo-json-site-reader.it-has-no-coordinates'), "$place.coordinates",
            Fact::of('geo-json-site-reader.longitude-latitude'),
        ) : $points;
    }
}
