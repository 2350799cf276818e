<?php

declare(strict_types=1);

namespace Tests\Core\Site;

use Demo\Sites;
use Larkspur\Fact;
use Larkspur\Fields;
use Larkspur\Geo\GeoPoint;
use Larkspur\Geo\LocalFrame;
use Larkspur\Geo\Position;
use Larkspur\Site\GeoJsonSiteReader;
use Larkspur\Site\KmlSiteReader;
use Larkspur\Site\Outline;
use Larkspur\Site\Site;
use Larkspur\Site\SiteImport;
use Larkspur\TakeAlong\ShotGeoJson;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

use function Tests\said;

/** A file of places: nothing of it is lost in silence, and what was written comes back. */
final class SiteImportTest extends TestCase
{
    /** @return iterable<string, array{array<string, mixed>}> */
    public static function sites(): iterable
    {
        foreach (Sites::all() as $site) {
            yield $site['name'] => [$site];
        }
    }

    /** @param  array<string, mixed>  $demo */
    #[DataProvider('sites')]
    public function test_a_site_comes_back_whole(array $demo): void
    {
        $site = Site::read(Fields::of(['name' => $demo['name'], ...$demo['document']]));
        $subjects = $demo['subjects'];
        $subjects[0]['route'] = ['points' => [[5.0, 6.0]], 'pace_mps' => 1.2, 'cue' => 'now'];
        $import = GeoJsonSiteReader::read(ShotGeoJson::ofSite($site, $subjects), null);
        $ground = [...$import->own['ground'] ?? [], ...$import->spots === [] ? [] : ['spots' => $import->spots]];
        $again = Site::read(Fields::of([
            ...$import->own, 'home' => $import->home, 'solids' => $import->solids, 'areas' => $import->areas,
            'observers' => $import->observers, ...$ground === [] ? [] : ['ground' => $ground],
        ]))->toArray();
        foreach ($site->toArray() as $name => $value) {
            self::assertSame(self::sorted($value), self::sorted($again[$name] ?? null), $name);
        }
        self::assertCount(count($subjects), $import->subjects);
        $frame = new LocalFrame($site->home);
        foreach ($subjects as $subject) {
            $found = array_column($import->subjects, null, 'id')[$subject['id']];
            $place = $frame->position(new GeoPoint($subject['lat'], $subject['lon'], $subject['alt_m']));
            self::assertEqualsWithDelta([$place->east, $place->north], [$found['east_m'], $found['north_m']], 0.01);
            self::assertEqualsWithDelta($subject['base_alt_m'] - $site->home->altitude, $found['base_m'], 0.01);
            self::assertEqualsWithDelta($place->up, $found['base_m'] + $found['aim_m'], 0.01);
        }
        self::assertSame('now', array_column($import->subjects, null, 'id')[$subjects[0]['id']]['route']['cue'] ?? '');
    }

    public function test_what_was_written_about_another_take_off_stands_where_it_stood(): void
    {
        $demo = Sites::all()[1];
        $site = Site::read(Fields::of(['name' => $demo['name'], ...$demo['document']]));
        // Take-off twenty metres east and ten north of there, three metres higher.
        $home = $site->frame()->geoPoint(new Position(20.0, 10.0, 3.0));
        $import = GeoJsonSiteReader::read(ShotGeoJson::ofSite($site, $demo['subjects']), $home);
        foreach ($site->solids as $k => $solid) {
            $there = array_column($import->solids, null, 'id')[$solid->id];
            self::assertEqualsWithDelta($solid->toArray()['east_m'] - 20.0, $there['east_m'], 0.05, $solid->name);
            self::assertEqualsWithDelta($solid->toArray()['north_m'] - 10.0, $there['north_m'], 0.05);
            self::assertEqualsWithDelta(($solid->toArray()['base_m'] ?? 0.0) - 3.0, $there['base_m'], 0.01);
        }
        $highest = static fn (array $heights): float => $heights === [] ? self::fail('No spots.') : max($heights);
        self::assertEqualsWithDelta(
            $highest(array_column($site->ground->spots ?? [], 2)) - 3.0, $highest(array_column($import->spots, 'up_m')), 0.01,
        );
    }

    public function test_a_hole_stays_a_hole(): void
    {
        $ring = static fn (float $half): array => [
            [-0.4 - $half, 57.6 - $half], [-0.4 + $half, 57.6 - $half], [-0.4 + $half, 57.6 + $half], [-0.4 - $half, 57.6 + $half],
            [-0.4 - $half, 57.6 - $half],
        ];
        $import = GeoJsonSiteReader::read((string) json_encode([
            'type' => 'Feature', 'properties' => ['name' => 'court', 'height_m' => 6],
            'geometry' => ['type' => 'Polygon', 'coordinates' => [$ring(0.0004), $ring(0.0002)]],
        ]), new GeoPoint(57.6, -0.4, 0.0));
        $outline = array_values(array_map(
            static fn (array $p): Position => new Position($p[0], $p[1], 0.0), (array) $import->solids[0]['points'],
        ));
        self::assertNull(Outline::selfCrossing($outline));
        self::assertFalse(Outline::contains($outline, 0.0, 0.0), 'The yard is free.');
        self::assertTrue(Outline::contains($outline, 0.0, 33.0), 'The wing stands.');
        // Three quarters of its square stand: the inner one has half its side.
        $whole = array_values(array_map(
            static fn (array $p): Position => (new LocalFrame(new GeoPoint(57.6, -0.4, 0.0)))->position(new GeoPoint($p[1], $p[0], 0.0)),
            array_slice($ring(0.0004), 0, 4),
        ));
        self::assertEqualsWithDelta(0.75 * abs(Outline::twiceArea($whole)), abs(Outline::twiceArea($outline)), 5.0);
        self::assertStringContainsString('hole in court is kept', self::words($import));
    }

    /** Heights of extruded placemarks are above the ground (OGC KML 2.2, 12-007r2, altitudeMode relativeToGround). */
    public function test_extruded_heights_and_inner_boundaries_are_read(): void
    {
        $kml = static fn (string $mode): string => <<<KML
            <?xml version="1.0"?><kml xmlns="http://www.opengis.net/kml/2.2"><Document>
            <Placemark><name>tower</name><Polygon><extrude>1</extrude><altitudeMode>$mode</altitudeMode><outerBoundaryIs><LinearRing>
            <coordinates>-0.4002,57.5998,14 -0.3998,57.5998,14 -0.3998,57.6002,14 -0.4002,57.6002,14 -0.4002,57.5998,14</coordinates>
            </LinearRing></outerBoundaryIs><innerBoundaryIs><LinearRing>
            <coordinates>-0.4001,57.5999,14 -0.3999,57.5999,14 -0.3999,57.6001,14 -0.4001,57.6001,14 -0.4001,57.5999,14</coordinates>
            </LinearRing></innerBoundaryIs></Polygon></Placemark>
            <Placemark><name>a note</name><description>nothing stands here</description></Placemark>
            </Document></kml>
            KML;
        $read = static function (string $text): SiteImport {
            $stream = fopen('php://memory', 'w+') ?: self::fail('No memory.');
            fwrite($stream, $text);
            rewind($stream);

            return KmlSiteReader::read($stream, new GeoPoint(57.6, -0.4, 0.0));
        };
        $import = $read($kml('relativeToGround'));
        self::assertSame(14.0, $import->solids[0]['height_m']);
        self::assertGreaterThan(8, count($import->solids[0]['points']));
        self::assertStringContainsString('1 of the file hold', self::words($import));
        // Above the sea is not above the ground: without one it is a place of people, and said.
        self::assertSame([], $read($kml('absolute'))->solids);
    }

    public function test_a_new_site_tells_turned_coordinates_from_the_places_that_are_known(): void
    {
        $file = (string) json_encode(['type' => 'Feature', 'properties' => ['name' => 'stack', 'height_m' => 9], 'geometry' => [
            'type' => 'Polygon', 'coordinates' => [[[57.6, -0.4], [57.6, -0.3998], [57.6002, -0.3998], [57.6, -0.4]]],
        ]]);
        $import = GeoJsonSiteReader::read($file, null, [new GeoPoint(57.7, -0.2, 0.0)]);
        self::assertEqualsWithDelta(57.6, $import->home['lat'], 0.001);
        self::assertStringContainsString('exchanged', self::words($import));
        $asWritten = GeoJsonSiteReader::read($file, null, [new GeoPoint(-0.5, 57.0, 0.0)]);
        self::assertEqualsWithDelta(-0.4, $asWritten->home['lat'], 0.001);
        $beyondThePole = str_replace('57.6', '157.6', $file);
        self::assertEqualsWithDelta(-0.4, GeoJsonSiteReader::read($beyondThePole, null)->home['lat'], 0.001);
        $south = (string) json_encode(['type' => 'Point', 'coordinates' => [-33.0, 151.0]]);
        self::assertEqualsWithDelta(-33.0, GeoJsonSiteReader::read($south, null)->home['lat'], 0.001, 'No latitude is 151.');
    }

    public function test_what_is_left_out_is_said(): void
    {
        $import = GeoJsonSiteReader::read((string) json_encode(['type' => 'FeatureCollection', 'features' => [
            ['type' => 'Feature', 'properties' => ['name' => 'nowhere'], 'geometry' => null],
            ['type' => 'Feature', 'properties' => ['kind' => 'path', 'name' => 'the pass'], 'geometry' => [
                'type' => 'LineString', 'coordinates' => [[-0.4, 57.6], [-0.4001, 57.6]],
            ]],
            ['type' => 'Feature', 'properties' => ['name' => 'tall', 'height_m' => '9 fathoms'], 'geometry' => [
                'type' => 'Polygon', 'coordinates' => [[[-0.4, 57.6], [-0.3998, 57.6], [-0.3998, 57.6001], [-0.4, 57.6]]],
            ]],
        ]]), new GeoPoint(57.6, -0.4, 0.0));
        $words = self::words($import);
        self::assertStringContainsString('1 of the file hold no place', $words);
        self::assertStringContainsString('The pass is a planned path', $words);
        self::assertStringContainsString('The height of tall', $words);
    }

    private static function words(SiteImport $import): string
    {
        return implode(' ', array_map(static fn (Fact $fact): string => said($fact), $import->notes));
    }

    private static function sorted(mixed $value): mixed
    {
        if (! is_array($value)) {
            return is_float($value) ? round($value, 2) : $value;
        }
        // The nearest to take-off come first: what stands in which place of a list says nothing.
        if (array_is_list($value) && is_array($value[0] ?? null) && isset($value[0]['id'])) {
            usort($value, static fn (array $a, array $b): int => $a['id'] <=> $b['id']);
        } elseif (array_is_list($value) && is_array($value[0] ?? null) && isset($value[0]['up_m'])) {
            usort($value, static fn (array $a, array $b): int => [$a['east_m'], $a['north_m']] <=> [$b['east_m'], $b['north_m']]);
        }
        if (! array_is_list($value)) {
            ksort($value);
            // A ring is written counterclockwise, whichever way it was drawn (RFC 7946, 3.1.6).
            if (isset($value['kind'], $value['points'])) {
                sort($value['points']);
            }
        }

        return array_map(self::sorted(...), $value);
    }
}
