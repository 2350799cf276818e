<?php

declare(strict_types=1);

namespace Larkspur\Choreography\TakeAlong;

use Larkspur\Choreography\Plan;
use Larkspur\Geo\LocalFrame;
use Larkspur\Geo\Position;
use Larkspur\Site\Cylinder;
use Larkspur\Site\Outline;
use Larkspur\Site\Site;
use Larkspur\Site\Solid;

/**
 * A site, and a planned path over it, as GeoJSON (RFC 7946: longitude first, outer rings counterclockwise). Each feature says in its properties
 * what it is, so that Site\GeoJsonSiteReader finds the same site again. Heights of positions are in the site's datum.
 */
final class ShotGeoJson
{
    /** Samples of 0.02 s between positions of the path. */
    private const STRIDE = 10;

    public static function ofSite(Site $site): string
    {
        return self::written(self::features($site));
    }

    public static function ofPlan(Plan $plan, string $title): string
    {
        $frame = $plan->shot->site->frame();
        $flight = $plan->move->flight->thinned(self::STRIDE);
        $line = $times = [];
        for ($i = 0, $n = $flight->count(); $i < $n; $i++) {
            $line[] = self::position($frame, $flight->position($i));
            $times[] = round($flight->t[$i], 3);
        }
        $path = self::feature('LineString', $line, [
            'kind' => 'path', 'name' => $title, 'move' => $plan->move->intent->move, 'seconds' => $times,
            'heading_deg' => array_map(static fn (float $a): float => round(fmod(rad2deg($a) + 3600, 360), 2), $flight->heading),
            'tilt_deg' => array_map(static fn (float $a): float => round(rad2deg($a), 2), $flight->tilt),
        ]);

        return self::written([...self::features($plan->shot->site), $path]);
    }

    /** @return list<array<string, mixed>> */
    private static function features(Site $site): array
    {
        $frame = $site->frame();
        $out = [self::feature('Point', self::position($frame, new Position(0, 0, 0)), ['kind' => 'home', 'name' => 'take-off', 'ceiling_m' => $site->ceiling, 'sight_line_m' => $site->sightLine, 'people_m' => $site->people])];
        foreach ($site->solids as $solid) {
            $document = $solid->toArray();
            $properties = ['kind' => 'solid', 'id' => $solid->id, 'name' => $solid->name, 'height_m' => $document['height_m'], 'solid' => array_diff_key($document, ['id' => 1, 'name' => 1])];
            $points = self::footprint($solid);
            $out[] = $solid->shape === 'wire'
                ? self::feature('LineString', array_map(static fn (Position $p): array => self::position($frame, $p), $points), $properties)
                : self::feature('Polygon', [self::ring($frame, $points)], $properties);
        }
        foreach ($site->areas as $area) {
            $properties = ['kind' => $area->kind, 'id' => $area->id, 'name' => $area->name];
            $out[] = $area->closed
                ? self::feature('Polygon', [self::ring($frame, $area->points)], $properties)
                : self::feature('LineString', array_map(static fn (Position $p): array => self::position($frame, $p), $area->points), $properties);
        }
        foreach ($site->observers as $observer) {
            $out[] = self::feature('Point', self::position($frame, $observer->eyes), ['kind' => 'observer', 'id' => $observer->id, 'name' => $observer->name]);
        }
        foreach ($site->ground?->toArray()['spots'] ?? [] as $spot) {
            $out[] = self::feature('Point', self::position($frame, new Position($spot['east_m'], $spot['north_m'], $spot['up_m'])), ['kind' => 'spot', 'name' => 'spot height', 'up_m' => $spot['up_m']]);
        }

        return $out;
    }

    /** @return non-empty-list<Position> */
    private static function footprint(Solid $solid): array
    {
        $form = $solid->toArray();
        if (isset($form['points'])) {
            return array_map(static fn (array $p): Position => new Position($p[0], $p[1], $form['base_m']), $form['points']);
        }
        $base = new Position($form['east_m'], $form['north_m'], $form['base_m']);

        return $solid->shape === 'cylinder'
            ? (new Cylinder($base, $form['width_m'] / 2, $form['height_m']))->corners()
            : array_map(static fn (array $edge): Position => $edge[0], array_values(array_filter($solid->body->edges()[0], static fn (array $edge): bool => $edge[0]->up === $base->up && $edge[1]->up === $base->up)));
    }

    /**
     * @param  list<Position>  $points
     * @return list<array{float, float, float}>
     */
    private static function ring(LocalFrame $frame, array $points): array
    {
        $points = Outline::twiceArea($points) < 0 ? array_reverse($points) : $points;

        return array_map(static fn (Position $p): array => self::position($frame, $p), [...$points, $points[0]]);
    }

    /** @return array{float, float, float} */
    private static function position(LocalFrame $frame, Position $place): array
    {
        $point = $frame->geoPoint($place);

        return [round($point->longitude, 8), round($point->latitude, 8), round($point->altitude, 3)];
    }

    /**
     * @param  array<mixed>  $coordinates
     * @param  array<string, mixed>  $properties
     * @return array<string, mixed>
     */
    private static function feature(string $type, array $coordinates, array $properties): array
    {
        return ['type' => 'Feature', 'properties' => $properties, 'geometry' => ['type' => $type, 'coordinates' => $coordinates]];
    }

    /** @param  list<array<string, mixed>>  $features */
    private static function written(array $features): string
    {
        return json_encode(['type' => 'FeatureCollection', 'features' => $features], JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRETTY_PRINT)."\n";
    }
}
