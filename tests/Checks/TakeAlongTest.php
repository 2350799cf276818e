<?php

declare(strict_types=1);

namespace Tests\Checks;

use Demo\Sites;
use DOMDocument;
use DOMXPath;
use Larkspur\Choreography\Plan;
use Larkspur\Choreography\Planner;
use Larkspur\Choreography\Shot;
use Larkspur\Fact;
use Larkspur\Fields;
use Larkspur\Geo\GeoPoint;
use Larkspur\Refusal;
use Larkspur\Site\GeoJsonSiteReader;
use Larkspur\Site\KmlSiteReader;
use Larkspur\Site\Site;
use Larkspur\Site\SiteImport;
use Larkspur\TakeAlong\CueVtt;
use Larkspur\TakeAlong\ShotGeoJson;
use Larkspur\TakeAlong\ShotGpx;
use Larkspur\TakeAlong\ShotKml;
use Larkspur\TakeAlong\ThumbSheetCsv;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Shots;

use function Tests\said;

/**
 * What is taken along, read back by readers that are not ours: togeojson, check-geojson, webvtt-parser and csv-parse in Node, libxml with
 * the
 * GPX schema (a subset, written from memory) in PHP; and read back whole by our own reader of sites.
 */
final class TakeAlongTest extends TestCase
{
    private const GX = 'http://www.google.com/kml/ext/2.2';

    public function test_gpx_is_valid_by_the_schema_and_keeps_the_path(): void
    {
        $plan = self::plan();
        $document = new DOMDocument;
        $document->loadXML(ShotGpx::of($plan), LIBXML_NONET);
        libxml_use_internal_errors(true);
        self::assertTrue(
            $document->schemaValidate(Reference::path('gpx/gpx-1.1-subset.xsd')),
            json_encode(array_map(static fn ($error): string => trim($error->message), libxml_get_errors())) ?: '',
        );
        $line = Independent::ask('gpx', ShotGpx::of($plan))['features'][0]['geometry']['coordinates'];
        self::assertPath($plan, $line);
    }

    public function test_the_tour_of_a_kml_looks_where_the_lens_does(): void
    {
        $plan = self::plan();
        $document = new DOMDocument;
        self::assertTrue($document->loadXML(ShotKml::of($plan, 'Round <it> & back'), LIBXML_NONET));
        $path = new DOMXPath($document);
        $path->registerNamespace('k', 'http://www.opengis.net/kml/2.2');
        $path->registerNamespace('gx', self::GX);
        $cameras = $path->query('//gx:Tour/gx:Playlist/gx:FlyTo/k:Camera');
        self::assertNotFalse($cameras);
        $time = 0.0;
        $checked = 0;
        $flights = $path->query('//gx:FlyTo');
        self::assertNotFalse($flights);
        foreach ($flights as $fly) {
            self::assertInstanceOf(\DOMNode::class, $fly);
            $value = static fn (string $name): float => (float) $path->evaluate("string(.//*[local-name()='$name'])", $fly);
            $time += $value('duration');
            $index = $plan->move->flight->indexAt($time);
            $point = $plan->shot->site->frame()->geoPoint($plan->move->flight->position($index));
            self::assertEqualsWithDelta($point->longitude, $value('longitude'), 1e-6);
            self::assertEqualsWithDelta($point->altitude, $value('altitude'), 0.05);
            // The outside catalogue's trap: a tour's tilt is 90 plus the lens's.
            self::assertEqualsWithDelta(90 + rad2deg($plan->move->flight->tilt[$index]), $value('tilt'), 0.2);
            self::assertEqualsWithDelta(
                0.0, abs(fmod($value('heading') - rad2deg($plan->move->flight->heading[$index]) + 7380, 360) - 180), 0.3,
            );
            $checked++;
        }
        self::assertSame($cameras->length, $checked);
        self::assertEqualsWithDelta($plan->move->flight->duration(), $time, 0.03);
        // And by a reader of its own: names, kinds and the path.
        $features = Independent::ask('kml', ShotKml::of($plan, 'Round <it> & back'))['features'];
        $paths = array_values(array_filter(
            $features, static fn (array $feature): bool => ($feature['properties']['kind'] ?? '') === 'path',
        ));
        self::assertSame('Round <it> & back', $paths[0]['properties']['name']);
        self::assertPath($plan, $paths[0]['geometry']['coordinates']);
        self::assertContains(
            'signal mast', array_map(static fn (array $feature): string => $feature['properties']['name'] ?? '', $features),
        );
    }

    public function test_geojson_is_right_position_by_position_and_the_site_comes_back_whole(): void
    {
        foreach (Sites::all() as $demo) {
            $site = Site::read(Fields::of(['name' => $demo['name'], ...$demo['document']]));
            $text = ShotGeoJson::ofSite($site);
            $checked = Independent::ask('geojson', $text);
            foreach ($checked['features'] as $feature) {
                if ($feature['geometry']['type'] === 'Polygon') {
                    $ring = $feature['geometry']['coordinates'][0];
                    self::assertSame($ring[0], $ring[count($ring) - 1]);
                    $area = 0.0;
                    foreach ($ring as $k => $p) {
                        $q = $ring[($k + 1) % count($ring)];
                        $area += $p[0] * $q[1] - $q[0] * $p[1];
                    }
                    self::assertGreaterThan(0.0, $area, 'outer rings run counterclockwise (RFC 7946, 3.1.6)');
                }
            }
            $back = GeoJsonSiteReader::read($text, null);
            self::assertSameSite($site, $back);
        }
    }

    public function test_kml_brings_the_site_back_whole(): void
    {
        $plan = self::plan();
        $stream = fopen('php://memory', 'w+');
        self::assertNotFalse($stream);
        fwrite($stream, ShotKml::of($plan, 'shot'));
        rewind($stream);
        self::assertSameSite($plan->shot->site, KmlSiteReader::read($stream, $plan->shot->site->home));
    }

    public function test_the_path_of_a_geojson_is_the_plan_s(): void
    {
        $plan = self::plan();
        $features = Independent::ask('geojson', ShotGeoJson::ofPlan($plan, 'shot'))['features'];
        $path = $features[count($features) - 1];
        self::assertSame('path', $path['properties']['kind']);
        self::assertCount(count($path['properties']['seconds']), $path['geometry']['coordinates']);
        self::assertPath($plan, $path['geometry']['coordinates']);
    }

    public function test_the_thumb_sheet_is_strict_csv(): void
    {
        $plan = self::plan();
        $rows = Independent::ask('csv', ThumbSheetCsv::of($plan, said(...)));
        self::assertSame(['t', 'climb', 'turn', 'run', 'slide', 'tilt', 'cue'], array_keys($rows[0]));
        foreach ([20, 100, 150] as $k) {
            $index = $plan->move->flight->indexAt((float) $rows[$k]['t']);
            self::assertEqualsWithDelta($plan->sheet->travel['turn'][$index], (float) $rows[$k]['turn'], 1e-4);
        }
        $said = implode(' ', array_column($rows, 'cue'));
        foreach ($plan->cues() as $cue) {
            self::assertStringContainsString(said($cue->text), $said);
        }
    }

    public function test_cues_are_webvtt_without_a_fault(): void
    {
        $plan = self::plan();
        $read = Independent::ask('vtt', CueVtt::of($plan, 'Half & half --> round', said(...)));
        self::assertSame([], $read['errors']);
        self::assertCount(count($plan->cues()), $read['cues']);
        foreach ($plan->cues() as $k => $cue) {
            self::assertEqualsWithDelta($cue->t, $read['cues'][$k][0], 0.001);
            self::assertGreaterThan($read['cues'][$k][0], $read['cues'][$k][1]);
            self::assertSame(said($cue->text), html_entity_decode($read['cues'][$k][2]));
        }
    }

    public function test_coordinates_the_wrong_way_round_are_noticed_and_turned(): void
    {
        $home = new GeoPoint(57.6, -0.4, 4.0);
        $import = GeoJsonSiteReader::read('{"type":"Feature","properties":{"name":"byre","height_m":4},"geometry":{"type":"Polygon","coordinates":[[[57.6001,-0.4],[57.6002,-0.4],[57.6002,-0.3998],[57.6001,-0.3998],[57.6001,-0.4]]]}}', $home);
        self::assertStringContainsString('exchanged', said($import->notes[0]));
        self::assertSame('byre', $import->solids[0]['name']);
        self::assertEqualsWithDelta(16.7, $import->solids[0]['north_m'], 1.0);
    }

    public function test_ten_thousand_features_are_cut_to_the_nearest_and_said(): void
    {
        $features = [];
        for ($i = 0; $i < 10000; $i++) {
            $features[] = [
                'type' => 'Feature', 'properties' => ['name' => "post $i", 'height' => '3 m'],
                'geometry' => ['type' => 'Point', 'coordinates' => [-0.4 + 0.0000012 * $i, 57.6]],
            ];
        }
        $features[] = [
            'type' => 'Feature', 'properties' => ['name' => 'far'], 'geometry' => ['type' => 'Point', 'coordinates' => [0.1, 57.6]],
        ];
        $import = GeoJsonSiteReader::read(
            json_encode(['type' => 'FeatureCollection', 'features' => $features], JSON_THROW_ON_ERROR), new GeoPoint(57.6, -0.4),
        );
        self::assertSame(10001, $import->found);
        self::assertCount(SiteImport::MOST, $import->solids);
        self::assertStringContainsString('1 of 10001 lie more than 2 km', said($import->notes[0]));
        self::assertStringContainsString('500 nearest', said($import->notes[1]));
    }

    public function test_what_is_assumed_of_a_foreign_file_is_said(): void
    {
        $feature = static fn (string $type, array $coordinates, array $properties = []): array => [
            'type' => 'Feature', 'properties' => $properties, 'geometry' => ['type' => $type, 'coordinates' => $coordinates],
        ];
        $import = GeoJsonSiteReader::read(json_encode(['type' => 'FeatureCollection', 'features' => [
            $feature('Point', [-0.4, 57.6001]),
            $feature('LineString', [[-0.4, 57.6], [-0.399, 57.6]]),
            $feature('LineString', [[-0.4, 57.6], [-0.399, 57.6]], ['height' => 7]),
            $feature('Polygon', [[[-0.4, 57.6], [-0.399, 57.601], [-0.399, 57.6], [-0.4, 57.601], [-0.4, 57.6]]]),
            $feature('MultiPoint', [[-0.4, 57.6002], [-0.4, 57.6003]], ['name' => 'stones']),
            ['type' => 'Feature', 'properties' => null, 'geometry' => null],
        ]], JSON_THROW_ON_ERROR), null);
        self::assertCount(3, $import->subjects);
        self::assertSame(['wire'], array_column($import->solids, 'shape'));
        self::assertSame(['boundary', 'people'], array_values(array_unique(array_column($import->areas, 'kind'))));
        $notes = implode(' ', array_map(said(...), $import->notes));
        foreach (['crossed itself', 'taken for a boundary', 'place of people'] as $words) {
            self::assertStringContainsString($words, $notes);
        }
    }

    /** @return iterable<string, array{string, string}> */
    public static function badFiles(): iterable
    {
        yield 'no JSON' => ['{"type": ', 'no JSON'];
        yield 'no GeoJSON' => ['{"a": 1}', 'no type'];
        yield 'an unknown geometry' => ['{"type":"Circle","coordinates":[1,2]}', 'no geometry'];
        yield 'text for a number' => ['{"type":"Point","coordinates":["8",47]}', 'no place'];
        yield 'nothing in it' => ['{"type":"FeatureCollection","features":[]}', 'no point, line or outline'];
        yield 'off the earth' => ['{"type":"Point","coordinates":[-0.4,157.6]}', 'no place on earth'];
        yield 'far away' => ['{"type":"Point","coordinates":[10.4,17.6]}', 'Nothing in this file lies near'];
        foreach (['invalid-no-geometry', 'invalid-one-number', 'invalid-string-coordinate', 'invalid-type-case'] as $name) {
            yield $name => [(string) file_get_contents(__DIR__."/../fixtures/geojson/$name.geojson"), ''];
        }
    }

    #[DataProvider('badFiles')]
    public function test_bad_files_are_refused_in_words(string $text, string $words): void
    {
        try {
            GeoJsonSiteReader::read($text, new GeoPoint(57.6, -0.4));
            self::fail('It was read.');
        } catch (Refusal $refusal) {
            self::assertStringContainsString($words, said($refusal->fact));
            self::assertNotNull($refusal->expected);
        }
    }

    public function test_a_kml_with_a_document_type_or_spaces_in_its_tuples_is_refused(): void
    {
        foreach ([
            '<!DOCTYPE kml><kml/>', (string) file_get_contents(Reference::path('kml/invalid-coordinates-space.kml')), '<gpx/>',
            '<kml><Document/></kml>',
        ] as $text) {
            $stream = fopen('php://memory', 'w+');
            self::assertNotFalse($stream);
            fwrite($stream, $text);
            rewind($stream);
            try {
                KmlSiteReader::read($stream, new GeoPoint(47.0, 8.0));
                self::fail($text);
            } catch (Refusal $refusal) {
                self::assertNotSame('', said($refusal->fact));
            }
        }
    }

    /** Places of solids, areas and observers within the millimetres of eight decimals, everything else the same. */
    private static function assertSameSite(Site $site, SiteImport $import): void
    {
        $sorted = static function (array $things): array {
            usort($things, static fn (array $a, array $b): int => $a['id'] <=> $b['id']);

            return $things;
        };
        $original = $site->toArray();
        foreach (['solids', 'areas', 'observers'] as $kind) {
            $mine = $sorted($original[$kind]);
            $read = $sorted($import->$kind);
            self::assertSame(array_column($mine, 'id'), array_column($read, 'id'));
            foreach ($mine as $k => $thing) {
                // RFC 7946 has outer rings run counterclockwise: an area may come back in the other order round.
                if ($kind === 'areas') {
                    sort($thing['points']);
                    sort($read[$k]['points']);
                }
                self::assertEqualsWithDelta($thing, $read[$k], 0.006, $thing['name']);
            }
        }
        $spots = $original['ground']['spots'] ?? [];
        self::assertEqualsWithDelta(array_sum(array_column($spots, 'up_m')), array_sum(array_column($import->spots, 'up_m')), 1e-6);
        // The planned path of a shot's file belongs to no site, which is said.
        $codes = array_map(static fn (Fact $note): string => $note->code, $import->notes);
        self::assertSame([], array_diff($codes, ['site-import.path-is-flown']));
    }

    /** @param  list<array{float, float, float}>  $line */
    private static function assertPath(Plan $plan, array $line): void
    {
        $frame = $plan->shot->site->frame();
        $flight = $plan->move->flight;
        foreach ([0, intdiv(count($line), 2), count($line) - 1] as $k) {
            $place = $frame->position(new GeoPoint($line[$k][1], $line[$k][0], $line[$k][2]));
            $least = INF;
            for ($i = 0, $n = $flight->count(); $i < $n; $i++) {
                $least = min($least, $place->minus($flight->position($i))->length());
            }
            self::assertLessThan(0.05, $least);
        }
        $first = $frame->position(new GeoPoint($line[0][1], $line[0][0], $line[0][2]));
        self::assertLessThan(0.05, $first->minus($flight->position(0))->length());
    }

    private static function plan(): Plan
    {
        return Planner::plan(Shot::read(Fields::of(Shots::document(['radius_m' => 24.0, 'height_m' => 9.0, 'arc_deg' => 150.0], ['site' => [
            'name' => 'moor', 'home' => ['lat' => 57.6, 'lon' => -0.4, 'alt_m' => 4.0],
            'solids' => [
                [
                    'id' => 'mast', 'name' => 'signal mast', 'shape' => 'cylinder', 'east_m' => -14, 'north_m' => 30, 'base_m' => 0.5,
                    'width_m' => 0.4, 'length_m' => 0.4, 'height_m' => 12.5,
                ],
                [
                    'id' => 'yard', 'name' => 'yard <old> & wet', 'shape' => 'polygon',
                    'points' => [[-40, 10], [-30, 10], [-30, 15], [-35, 15], [-35, 22], [-40, 22]], 'height_m' => 2.2,
                ],
                [
                    'id' => 'wire', 'name' => 'wire', 'shape' => 'wire', 'points' => [[-60, -5], [-20, -9]], 'height_m' => 7.5,
                    'sag_m' => 0.6,
                ],
                [
                    'id' => 'byre', 'name' => 'byre', 'shape' => 'box', 'east_m' => -20, 'north_m' => -30, 'width_m' => 5, 'length_m' => 9,
                    'height_m' => 3.4, 'heading_deg' => 33,
                ],
            ],
            'areas' => [
                ['id' => 'quay', 'name' => 'quay', 'kind' => 'people', 'points' => [[-80, 0], [-70, 0], [-70, 12]]],
                ['id' => 'dyke', 'name' => 'march dyke', 'kind' => 'boundary', 'points' => [[-90, -60], [90, -60]]],
            ],
            'observers' => [['id' => 'o', 'name' => 'at the gate', 'east_m' => -12, 'north_m' => 4]],
            'ground' => ['spots' => [['east_m' => 40, 'north_m' => 0, 'up_m' => 1.5]]],
        ]]))));
    }
}
