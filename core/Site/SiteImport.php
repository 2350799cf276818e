<?php

declare(strict_types=1);

namespace Larkspur\Site;

use Larkspur\Fact;
use Larkspur\Fields;
use Larkspur\Geo\GeoPoint;
use Larkspur\Geo\LocalFrame;
use Larkspur\Geo\Position;
use Larkspur\Refusal;

/**
 * What a file of places becomes on a site: solids, areas, spot heights and points, in metres about take-off, with a note for everything
 * that had to be assumed, mended or left out. Nothing is put on the site yet: whoever imports looks at it first.
 *
 * Written by Larkspur, a feature says what it is in its properties; from elsewhere, an outline or line with a height stands, one without
 * lies on the ground, and a point is something to film. Positions of a feature are longitude, latitude and height.
 *
 * @phpstan-type Feature array{
 *     kind: 'point'|'line'|'area', points: non-empty-list<array{float, float, ?float}>, name: string, properties: array<string, mixed>,
 *     holes?: list<non-empty-list<array{float, float, ?float}>>,
 * }
 */
final class SiteImport
{
    /** A site is no survey: of more features than this the nearest are taken. */
    public const MOST = 500;

    /** Farther from take-off than this it belongs to another site, m. */
    public const FAR = 2000.0;

    /** All of it farther than this, and the coordinates are taken for turned round, m. */
    private const ELSEWHERE = 30000.0;

    /** A school films within this of the places that it knows, m. */
    private const COUNTRY = 600000.0;

    /** Corners nearer than this to their neighbours are one, m. */
    private const SAME = 0.05;

    /** @var list<array<string, mixed>> */
    public array $solids = [];

    /** @var list<array<string, mixed>> */
    public array $areas = [];

    /** @var list<array<string, mixed>> */
    public array $observers = [];

    /** @var list<array{east_m: float, north_m: float, up_m: float}> */
    public array $spots = [];

    /**
     * Things to film.
     *
     * @var list<array{
     *     id: string, name: string, east_m: float, north_m: float, base_m: float, aim_m: float, route: ?array<array-key, mixed>,
     * }>
     */
    public array $subjects = [];

    /** @var array{lat: float, lon: float, alt_m: float} take-off */
    public readonly array $home;

    /**
     * What the file's site says of itself beside what stands there: name, limits, ground, clock; empty of others.
     *
     * @var array<string, mixed>
     */
    public array $own = [];

    /** Where the take-off point of the file's own site lies from here: what it wrote in metres is written about that. */
    private Position $shift;

    /** @var list<Fact> what was done to the file's contents, and what was left out */
    public array $notes = [];

    public int $found = 0;

    private function __construct(private readonly LocalFrame $frame)
    {
        $this->home = $frame->origin->toArray();
        $this->shift = new Position(0, 0, 0);
    }

    /**
     * @param  list<Feature>  $features  longitude, latitude, height
     * @param  ?GeoPoint  $home  of the site that it is for; null where the file's own first place becomes one
     * @param  list<GeoPoint>  $known  places that are filmed at: by them a new site's coordinates are told from turned ones
     * @param  int  $nothing  features without a place or of a kind that can't stand
     */
    public static function of(array $features, ?GeoPoint $home, array $known = [], int $nothing = 0): self
    {
        if ($features === []) {
            throw new Refusal(
                Fact::of('site-import.point-line-outline-file'), 'file', Fact::of('site-import.geojson-features-kml-placemarks'),
            );
        }
        $own = self::ownHome($features);
        $turned = $home === null && $own === null && self::liesTurned($features, $known);
        $features = $turned ? self::turned($features) : $features;
        $home ??= $own ?? self::middle($features);
        $import = new self(new LocalFrame($home));
        $import->found = count($features);
        if ($turned) {
            $import->notes[] = Fact::of('site-import.read-written-all-lies');
        }
        if ($nothing > 0) {
            $import->notes[] = Fact::of('site-import.hold-nothing', count: $nothing);
        }
        $features = $import->turnedRound($features, $home);
        if ($own !== null) {
            $import->shift = $import->frame->position($own);
        }
        $near = [];
        $far = 0;
        foreach ($features as $feature) {
            $places = $import->places($feature);
            $away = min(array_map(static fn (Position $p): float => $p->ground(), $places));
            if ($away > self::FAR) {
                $far++;
            } else {
                $near[] = [$away, $feature, $places];
            }
        }
        if ($far > 0) {
            $import->notes[] = Fact::of('site-import.lie-more-km-take', count: $far, found: $import->found, reach: self::FAR / 1000);
        }
        if ($near === []) {
            throw new Refusal(
                Fact::of('site-import.nothing-file-lies-near'), 'file',
                Fact::of('site-import.places-within-km-begin', far: self::FAR / 1000),
            );
        }
        usort($near, static fn (array $a, array $b): int => $a[0] <=> $b[0]);
        if (count($near) > self::MOST) {
            $import->notes[] = Fact::of('site-import.more-site-can-use', count: count($near), most: self::MOST);
            $near = array_slice($near, 0, self::MOST);
        }
        foreach ($near as $k => [, $feature, $places]) {
            $import->take($feature, $places, $k + 1);
        }

        return $import;
    }

    /** @param  list<Feature>  $features */
    private static function ownHome(array $features): ?GeoPoint
    {
        foreach ($features as $feature) {
            if (($feature['properties']['kind'] ?? null) === 'home') {
                [$longitude, $latitude, $height] = $feature['points'][0];

                return new GeoPoint($latitude, $longitude, $height ?? 0.0);
            }
        }

        return null;
    }

    /** @param  list<Feature>  $features  one or more */
    private static function middle(array $features): GeoPoint
    {
        $points = array_merge(...array_map(static fn (array $feature): array => $feature['points'], $features));
        $longitudes = array_column($points, 0);
        $latitudes = array_column($points, 1);
        sort($longitudes);
        sort($latitudes);

        return new GeoPoint(max(-89.9, min(89.9, $latitudes[intdiv(count($latitudes), 2)])), $longitudes[intdiv(count($longitudes), 2)]);
    }

    /**
     * Latitude before longitude is a common slip: where all lies far away, and turned round it lies here, it is turned round.
     *
     * @param  list<Feature>  $features
     * @return list<Feature>
     */
    private function turnedRound(array $features, GeoPoint $home): array
    {
        $frame = new LocalFrame($home);
        $points = array_merge(...array_map(static fn (array $feature): array => $feature['points'], $features));
        $nearest = static function (bool $turned) use ($frame, $points): float {
            $least = INF;
            foreach ($points as [$a, $b]) {
                [$longitude, $latitude] = $turned ? [$b, $a] : [$a, $b];
                $least = abs($latitude) > 90 ? $least : min($least, hypot($frame->eastOf($longitude), $frame->northOf($latitude)));
            }

            return $least;
        };
        if ($nearest(false) > self::ELSEWHERE && $nearest(true) < self::FAR) {
            $this->notes[] = Fact::of('site-import.read-written-all-lies');

            return self::turned($features);
        }
        foreach ($features as $feature) {
            foreach ($feature['points'] as [$longitude, $latitude]) {
                if (abs($latitude) > 90 || abs($longitude) > 180) {
                    throw new Refusal(
                        Fact::of('site-import.place-earth', latitude: Fields::written($latitude), longitude: Fields::written($longitude)),
                        'file', Fact::of('site-import.longitude-first-then-latitude'),
                    );
                }
            }
        }

        return $features;
    }

    /**
     * Latitude and longitude exchanged.
     *
     * @param  list<Feature>  $features
     * @return list<Feature>
     */
    private static function turned(array $features): array
    {
        return array_map(
            static fn (array $feature): array => [
                ...$feature, 'points' => self::exchanged($feature['points']),
                'holes' => array_map(self::exchanged(...), $feature['holes'] ?? []),
            ],
            $features,
        );
    }

    /**
     * @param  non-empty-list<array{float, float, ?float}>  $points
     * @return non-empty-list<array{float, float, ?float}>
     */
    private static function exchanged(array $points): array
    {
        return array_map(static fn (array $p): array => [$p[1], $p[0], $p[2]], $points);
    }

    /**
     * Whether a file for a new site has latitude before longitude: it would lie beyond a pole as written, or far from every place that is
     * filmed at, and turned round it lies near one.
     *
     * @param  list<Feature>  $features
     * @param  list<GeoPoint>  $known
     */
    private static function liesTurned(array $features, array $known): bool
    {
        $points = array_merge(...array_map(static fn (array $feature): array => $feature['points'], $features));
        if (array_filter($points, static fn (array $p): bool => abs($p[0]) > 90) !== []) {
            return false;
        }
        if (array_filter($points, static fn (array $p): bool => abs($p[1]) > 90) !== []) {
            return true;
        }
        [$as, $turned] = [INF, INF];
        foreach ($known as $place) {
            $frame = new LocalFrame($place);
            [$a, $b] = $points[intdiv(count($points), 2)];
            $as = min($as, hypot($frame->eastOf($a), $frame->northOf($b)));
            $turned = min($turned, hypot($frame->eastOf($b), $frame->northOf($a)));
        }

        return $as > self::COUNTRY && $turned < self::COUNTRY;
    }

    /**
     * @param  Feature  $feature
     * @return non-empty-list<Position>
     */
    private function places(array $feature): array
    {
        return array_map($this->place(...), $feature['points']);
    }

    /** @param  array{float, float, ?float}  $point */
    private function place(array $point): Position
    {
        return new Position(round($this->frame->eastOf($point[0]), 3), round($this->frame->northOf($point[1]), 3), 0.0);
    }

    /**
     * @param  Feature  $feature
     * @param  non-empty-list<Position>  $places
     */
    private function take(array $feature, array $places, int $number): void
    {
        $properties = $feature['properties'];
        $kind = is_string($properties['kind'] ?? null) ? $properties['kind'] : null;
        $id = is_string($properties['id'] ?? null) && $properties['id'] !== '' ? $properties['id'] : 'import-'.$number;
        $name = $feature['name'] !== '' ? $feature['name'] : "no. $number";
        if ($kind === 'home') {
            $this->own($properties);

            return;
        }
        if ($kind === 'path') {
            $this->notes[] = Fact::of('site-import.path-is-flown', name: $name);

            return;
        }
        if ($kind === 'solid' && is_array($properties['solid'] ?? null)) {
            $this->solids[] = Solid::read(Fields::of([...$this->shifted($properties['solid']), 'id' => $id, 'name' => $name]))->toArray();

            return;
        }
        if ($kind === 'spot' && is_numeric($properties['up_m'] ?? null)) {
            $up = round((float) $properties['up_m'] + $this->shift->up, 3);
            $this->spots[] = ['east_m' => $places[0]->east, 'north_m' => $places[0]->north, 'up_m' => $up];

            return;
        }
        if ($kind === 'subject') {
            $base = is_numeric($properties['base_m'] ?? null) ? (float) $properties['base_m'] : 0.0;
            $this->subjects[] = [
                'id' => $id, 'name' => $name, 'east_m' => $places[0]->east, 'north_m' => $places[0]->north,
                'base_m' => round($base + $this->shift->up, 3),
                'aim_m' => is_numeric($properties['aim_m'] ?? null) ? (float) $properties['aim_m'] : 1.5,
                'route' => is_array($properties['route'] ?? null) ? $this->shifted($properties['route']) : null,
            ];

            return;
        }
        if ($kind === 'observer') {
            $this->observers[] = ['id' => $id, 'name' => $name, 'east_m' => $places[0]->east, 'north_m' => $places[0]->north];

            return;
        }
        $height = self::height($properties);
        if ($height === null && self::says($properties)) {
            $this->notes[] = Fact::of('site-import.height-not-read', name: $name);
        }
        $known = in_array($kind, Area::KINDS, true) ? $kind : null;
        if ($feature['kind'] === 'point') {
            $this->point(
                $id, $name, $places[0], $height, is_numeric($properties['base_m'] ?? null) ? (float) $properties['base_m'] : 0.0,
                is_numeric($properties['aim_m'] ?? null) ? (float) $properties['aim_m'] : null,
            );
        } elseif ($feature['kind'] === 'line') {
            $this->line($id, $name, self::thinned($places), $height, $known);
        } else {
            $holes = array_map(fn (array $ring): array => self::thinned(array_map($this->place(...), $ring)), $feature['holes'] ?? []);
            $this->outline($id, $name, self::thinned($places), $height, $known, $holes);
        }
    }

    /**
     * What the file's site says of itself.
     *
     * @param  array<string, mixed>  $properties  of its take-off point
     */
    private function own(array $properties): void
    {
        $own = array_intersect_key($properties, array_flip([
            'ceiling_m', 'sight_line_m', 'people_m', 'variation_deg', 'zone', 'ground',
        ]));
        try {
            $site = Site::read(Fields::of(['home' => $this->home, ...$own], 'file'))->toArray();
            $ground = is_array($site['ground'] ?? null) ? array_diff_key($site['ground'], ['spots' => 1]) : [];
            $this->own = [
                ...array_diff_key(array_intersect_key($site, $own), ['ground' => 1]), ...$ground === [] ? [] : ['ground' => $ground],
                ...is_string($properties['site'] ?? null) ? ['name' => $properties['site']] : [],
            ];
        } catch (Refusal $refusal) {
            $this->notes[] = $refusal->fact;
        }
    }

    /**
     * What was written in metres about the file's own take-off, about this one.
     *
     * @param  array<array-key, mixed>  $form
     * @return array<array-key, mixed>
     */
    private function shifted(array $form): array
    {
        $by = ['east_m' => $this->shift->east, 'north_m' => $this->shift->north, 'base_m' => $this->shift->up];
        if ($this->shift->ground() < 0.001 && abs($this->shift->up) < 0.001) {
            return $form;
        }
        foreach ($by as $name => $more) {
            $now = $form[$name] ?? ($name === 'base_m' && isset($form['height_m']) ? 0.0 : null);
            if (is_numeric($now)) {
                $form[$name] = round((float) $now + $more, 3);
            }
        }
        if (is_array($form['points'] ?? null)) {
            $form['points'] = array_map(fn (mixed $p): mixed => is_array($p) && is_numeric($p[0] ?? null) && is_numeric($p[1] ?? null)
                ? [round($p[0] + $this->shift->east, 3), round($p[1] + $this->shift->north, 3)] : $p, $form['points']);
        }

        return $form;
    }

    private function point(string $id, string $name, Position $place, ?float $height, float $base, ?float $aim): void
    {
        if ($height !== null && $aim === null) {
            $this->solids[] = Solid::cylinder($id, $name, $place, 1.0, $height)->toArray();
            $this->notes[] = Fact::of('site-import.point-height-drawn-metre');

            return;
        }
        $this->subjects[] = [
            'id' => $id, 'name' => $name, 'east_m' => $place->east, 'north_m' => $place->north, 'base_m' => $base, 'aim_m' => $aim ?? 1.5,
            'route' => null,
        ];
    }

    /** @param  non-empty-list<Position>  $places */
    private function line(string $id, string $name, array $places, ?float $height, ?string $kind): void
    {
        if (count($places) < 2) {
            $this->notes[] = Fact::of('site-import.line-one-point-left', name: $name);

            return;
        }
        if ($height !== null && $kind === null) {
            $this->solids[] = Solid::wire($id, $name, $places, $height)->toArray();

            return;
        }
        $this->areas[] = (new Area($id, $name, Area::BOUNDARY, $places, false))->toArray();
        if ($kind === null) {
            $this->notes[] = Fact::of('site-import.line-without-height-taken');
        }
    }

    /**
     * @param  non-empty-list<Position>  $places
     * @param  ?value-of<Area::KINDS>  $kind
     * @param  list<non-empty-list<Position>>  $holes
     */
    private function outline(string $id, string $name, array $places, ?float $height, ?string $kind, array $holes): void
    {
        if (count($places) > 1 && $places[0]->minus($places[count($places) - 1])->length() < self::SAME) {
            $places = array_slice($places, 0, -1);
        }
        try {
            if (count($places) > 3 && Outline::selfCrossing($places) !== null) {
                $places = Outline::untangled($places);
                $this->notes[] = Fact::of('site-import.outline-crossed-itself-corners', name: $name);
            }
        } catch (Refusal) {
            $this->notes[] = Fact::of('site-import.too-intricate', name: $name);

            return;
        }
        if ($places === [] || count($places) < 3 || abs(Outline::twiceArea($places)) < 0.01) {
            $this->notes[] = Fact::of('site-import.encloses-nothing-left-out', name: $name);

            return;
        }
        foreach ($holes as $hole) {
            $hole = count($hole) > 1 && $hole[0]->minus($hole[count($hole) - 1])->length() < self::SAME ? array_slice($hole, 0, -1) : $hole;
            $open = count($hole) < 3 || count($places) + count($hole) + 2 > Solid::MOST_POINTS ? null : Outline::keyholed($places, $hole);
            $places = $open ?? $places;
            $this->notes[] = Fact::of($open === null ? 'site-import.hole-left-out' : 'site-import.hole-kept', name: $name);
        }
        if ($kind !== null) {
            $this->areas[] = (new Area($id, $name, $kind, $places))->toArray();
        } elseif ($height !== null) {
            $this->solids[] = Solid::over($id, $name, $places, $height)->toArray();
        } else {
            $this->areas[] = (new Area($id, $name, Area::PEOPLE, $places))->toArray();
            $this->notes[] = Fact::of('site-import.outline-without-height-taken');
        }
    }

    /** @param  array<string, mixed>  $properties */
    private static function height(array $properties): ?float
    {
        foreach (['height_m', 'height'] as $name) {
            $value = $properties[$name] ?? null;
            if (is_string($value)) {
                $value = preg_match('/^\s*([\d.]+)\s*m?\s*$/', $value, $m) === 1 ? (float) $m[1] : null;
            }
            if ((is_float($value) || is_int($value)) && $value >= 0.01 && $value <= 1000) {
                return (float) $value;
            }
        }

        return null;
    }

    /**
     * Whether something is said of a height.
     *
     * @param  array<string, mixed>  $properties
     */
    private static function says(array $properties): bool
    {
        return array_filter(['height_m', 'height'], static fn (string $name): bool => ($properties[$name] ?? '') !== '') !== [];
    }

    /**
     * Without corners that repeat one another, and no more than a site takes.
     *
     * @param  non-empty-list<Position>  $places
     * @return non-empty-list<Position>
     */
    private static function thinned(array $places): array
    {
        $out = [$places[0]];
        foreach ($places as $place) {
            if ($place->minus($out[count($out) - 1])->length() >= self::SAME) {
                $out[] = $place;
            }
        }
        $n = count($out);
        if ($n <= Solid::MOST_POINTS) {
            return $out;
        }
        $step = (int) ceil($n / Solid::MOST_POINTS);
        $kept = [$out[0]];
        for ($k = $step; $k < $n; $k += $step) {
            $kept[] = $out[$k];
        }

        return $kept;
    }
}
