<?php

declare(strict_types=1);

namespace Larkspur\TakeAlong;

use Larkspur\Choreography\Plan;
use Larkspur\Fields;
use Larkspur\Geo\GeoPoint;
use Larkspur\Geo\LocalFrame;
use Larkspur\Geo\Position;
use Larkspur\Site\Outline;
use Larkspur\Site\Site;

/**
 * A site, and a planned path over it, as GeoJSON (RFC 7946: longitude first, outer rings counterclockwise). Each feature says in its
 * properties what it is, so that Site\GeoJsonSiteReader finds the same site again. Heights of positions are in the site's datum.
 */
final class ShotGeoJson
{
    /** Samples of 0.02 s between positions of the path. */
    private const STRIDE = 10;

    /** @param  list<array<string, mixed>>  $subjects  as a site keeps them: id, name, lat, lon, alt_m, base_alt_m and perhaps a route */
    public static function ofSite(Site $site, array $subjects = []): string
    {
        $frame = $site->frame();
        $features = array_map(static function (array $subject) use ($frame): array {
            $fields = Fields::of($subject);
            $place = $frame->position(GeoPoint::read($fields));
            $base = $fields->number('base_alt_m') - $frame->origin->altitude;

            return ['type' => 'Point', 'places' => [$place], 'properties' => [
                'kind' => 'subject', 'id' => $fields->text('id'), 'name' => $fields->text('name'), 'base_m' => round($base, 3),
                'aim_m' => round($place->up - $base, 3), ...isset($subject['route']) ? ['route' => $subject['route']] : [],
            ]];
        }, $subjects);

        return self::written($frame, [...self::features($site), ...$features]);
    }

    public static function ofPlan(Plan $plan, string $title): string
    {
        $flight = $plan->move->flight->thinned(self::STRIDE);
        $path = ['type' => 'LineString', 'places' => array_map($flight->position(...), range(0, $flight->count() - 1)), 'properties' => [
            'kind' => 'path', 'name' => $title, 'move' => $plan->move->intent->move,
            'seconds' => array_map(static fn (float $t): float => round($t, 3), $flight->t),
            'heading_deg' => array_map(static fn (float $a): float => round(fmod(rad2deg($a) + 3600, 360), 2), $flight->heading),
            'tilt_deg' => array_map(static fn (float $a): float => round(rad2deg($a), 2), $flight->tilt),
        ]];

        return self::written($plan->shot->site->frame(), [...self::features($plan->shot->site), $path]);
    }

    /**
     * Everything on a site as places in its frame; a polygon's first place is its last.
     *
     * @return list<array{
     *     type: 'Point'|'LineString'|'Polygon', places: non-empty-list<Position>, properties: array{name: string, ...<string, mixed>},
     * }>
     */
    public static function features(Site $site): array
    {
        $out = [[
            'type' => 'Point', 'places' => [new Position(0, 0, 0)],
            'properties' => [
                'kind' => 'home', 'name' => 'take-off', 'ceiling_m' => $site->ceiling, 'sight_line_m' => $site->sightLine,
                'people_m' => $site->people, 'variation_deg' => $site->toArray()['variation_deg'], 'zone' => $site->zone->name,
                'site' => $site->name,
                // Spot heights are features of their own.
                ...array_filter(['ground' => array_diff_key($site->ground?->toArray() ?? [], ['spots' => 1])]),
            ],
        ]];
        foreach ($site->solids as $solid) {
            $document = $solid->toArray();
            $out[] = [
                'type' => $solid->shape === 'wire' ? 'LineString' : 'Polygon',
                'places' => $solid->shape === 'wire' ? $solid->foot() : self::ring($solid->foot()),
                'properties' => [
                    'kind' => 'solid', 'id' => $solid->id, 'name' => $solid->name, 'height_m' => $document['height_m'] ?? null,
                    'solid' => array_diff_key($document, ['id' => 1, 'name' => 1]),
                ],
            ];
        }
        foreach ($site->areas as $area) {
            $out[] = [
                'type' => $area->closed ? 'Polygon' : 'LineString', 'places' => $area->closed ? self::ring($area->points) : $area->points,
                'properties' => ['kind' => $area->kind, 'id' => $area->id, 'name' => $area->name],
            ];
        }
        foreach ($site->observers as $observer) {
            $out[] = [
                'type' => 'Point', 'places' => [$observer->eyes],
                'properties' => ['kind' => 'observer', 'id' => $observer->id, 'name' => $observer->name],
            ];
        }
        foreach ($site->ground->spots ?? [] as [$east, $north, $up]) {
            $out[] = [
                'type' => 'Point', 'places' => [new Position($east, $north, $up)],
                'properties' => ['kind' => 'spot', 'name' => 'spot height', 'up_m' => $up],
            ];
        }

        return $out;
    }

    /**
     * @param  non-empty-list<Position>  $points
     * @return non-empty-list<Position>
     */
    private static function ring(array $points): array
    {
        $points = Outline::twiceArea($points) < 0 ? array_reverse($points) : $points;

        return [...$points, $points[0]];
    }

    /**
     * @param  list<array{
     *     type: 'Point'|'LineString'|'Polygon', places: non-empty-list<Position>, properties: array<string, mixed>,
     * }> $features
     */
    private static function written(LocalFrame $frame, array $features): string
    {
        $position = static function (Position $place) use ($frame): array {
            $point = $frame->geoPoint($place);

            return [round($point->longitude, 8), round($point->latitude, 8), round($point->altitude, 3)];
        };
        $out = [];
        foreach ($features as ['type' => $type, 'places' => $places, 'properties' => $properties]) {
            $line = array_map($position, $places);
            $out[] = [
                'type' => 'Feature', 'properties' => $properties,
                'geometry' => ['type' => $type, 'coordinates' => ['Point' => $line[0], 'LineString' => $line, 'Polygon' => [$line]][$type]],
            ];
        }

        return json_encode(
            ['type' => 'FeatureCollection', 'features' => $out],
            JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRETTY_PRINT,
        )."\n";
    }
}
