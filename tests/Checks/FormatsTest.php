<?php

declare(strict_types=1);

namespace Tests\Checks;

use DOMDocument;
use Larkspur\Flight\Recorder;
use Larkspur\Refusal;
use Larkspur\Telemetry\FlightLog;
use Larkspur\Telemetry\Formats;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Shots;

use function Tests\said;

/**
 * The open formats against their own definitions: GPX 1.1 (a subset of its schema, written from memory, checked by libxml),
 * KML 2.2 (OGC 07-147r2), GeoJSON (RFC 7946); and small files that are right or wrong on purpose.
 */
final class FormatsTest extends TestCase
{
    public function test_what_is_written_as_gpx_is_valid_by_the_schema(): void
    {
        $document = new DOMDocument;
        $document->loadXML(self::written('gpx'), LIBXML_NONET);
        libxml_use_internal_errors(true);

        self::assertTrue(
            $document->schemaValidate(Reference::path('gpx/gpx-1.1-subset.xsd')),
            json_encode(array_map(static fn ($error): string => trim($error->message), libxml_get_errors())) ?: '',
        );
        self::assertSame(self::log()->count(), $document->getElementsByTagName('trkpt')->length);
    }

    public function test_the_schema_itself_refuses_what_is_wrong(): void
    {
        libxml_use_internal_errors(true);
        foreach (['invalid-lat', 'invalid-no-creator', 'invalid-order', 'invalid-time'] as $name) {
            $document = new DOMDocument;
            $document->load(Reference::path("gpx/{$name}.gpx"), LIBXML_NONET);
            self::assertFalse($document->schemaValidate(Reference::path('gpx/gpx-1.1-subset.xsd')), $name);
        }
        libxml_clear_errors();
    }

    public function test_kml_is_well_formed_with_as_many_times_as_places(): void
    {
        $document = new DOMDocument;
        self::assertTrue($document->loadXML(self::written('kml'), LIBXML_NONET));
        self::assertSame('http://www.opengis.net/kml/2.2', $document->documentElement?->namespaceURI);
        $gx = 'http://www.google.com/kml/ext/2.2';
        $places = $document->getElementsByTagNameNS($gx, 'coord');
        self::assertSame(self::log()->count(), $places->length);
        self::assertSame($places->length, $document->getElementsByTagName('when')->length);
        // "lon lat alt", parted by spaces.
        self::assertMatchesRegularExpression('/^-0\.\d+ 57\.6\d* \d+(\.\d+)?$/', (string) $places->item(0)?->textContent);
        self::assertSame('absolute', $document->getElementsByTagName('altitudeMode')->item(0)?->textContent);
    }

    public function test_geojson_keeps_to_rfc_7946(): void
    {
        $read = json_decode(self::written('geojson'), true, flags: JSON_THROW_ON_ERROR);
        $feature = $read['type'] === 'Feature' ? $read : $read['features'][0];

        self::assertArrayNotHasKey('crs', $read);
        self::assertSame('LineString', $feature['geometry']['type']);
        foreach ($feature['geometry']['coordinates'] as [$longitude, $latitude]) {
            self::assertEqualsWithDelta(-0.4, $longitude, 0.01);
            self::assertEqualsWithDelta(57.6, $latitude, 0.01);
        }
        self::assertSame([3], array_values(array_unique(array_map(count(...), $feature['geometry']['coordinates']))));
    }

    /** @return iterable<string, array{string, string}> */
    public static function refused(): iterable
    {
        yield 'entities' => ['gpx/hostile-entity.gpx', 'document type'];
        yield 'latitude beyond the pole' => ['gpx/invalid-lat.gpx', 'no track point'];
        yield 'no longitude' => ['gpx/invalid-no-lon.gpx', 'no track point'];
        yield 'a time that is none' => ['gpx/invalid-time.gpx', 'no track point'];
        yield 'tags that do not match' => ['gpx/invalid-xml.gpx', 'not well-formed'];
        yield 'no points' => ['gpx/valid-minimal.gpx', 'no track point'];
        yield 'an unbound prefix' => ['kml/invalid-no-gx-ns.kml', 'not well-formed'];
        yield 'commas in a track' => ['kml/invalid-track-comma.kml', 'no track'];
        yield 'more times than places' => ['kml/invalid-track-count.kml', '3 times and 2 places'];
        yield 'a line without times' => ['kml/valid-linestring.kml', 'no track with times'];
        yield 'no geometry' => ['geojson/invalid-no-geometry.geojson', 'no line'];
        yield 'one number for a place' => ['geojson/invalid-one-number.geojson', 'no line'];
        yield 'a line of one point' => ['geojson/invalid-one-point-line.geojson', 'two positions'];
        yield 'a word for a number' => ['geojson/invalid-string-coordinate.geojson', 'no line'];
        yield 'another case' => ['geojson/invalid-type-case.geojson', 'no GeoJSON'];
        yield 'another reference system' => ['geojson/warn-crs.geojson', 'reference system'];
        // Right in themselves, and too short for a flight.
        yield 'three samples of KML' => ['kml/valid-track.kml', 'Only 3'];
        yield 'three samples of GeoJSON' => ['geojson/valid-track.geojson', 'Only 3'];
    }

    #[DataProvider('refused')]
    public function test_a_file_that_is_no_flight_is_refused_with_its_reason(string $file, string $words): void
    {
        $stream = fopen(Reference::path($file), 'rb');
        self::assertNotFalse($stream);
        try {
            Formats::reader($file)->read($stream);
            self::fail('It was read.');
        } catch (Refusal $refusal) {
            self::assertStringContainsString($words, said($refusal->fact));
        }
    }

    private static function log(): FlightLog
    {
        static $log = null;
        if ($log === null) {
            $plan = Shots::plan(['radius_m' => 26, 'arc_deg' => 60, 'pace_mps' => 2.4]);
            $flown = (new Recorder)->record($plan->move->flight, $plan->shot->site->frame());
            $log = new FlightLog($flown->columns, $flown->flightModes, epoch: 1_777_600_000.0);
        }

        return $log;
    }

    private static function written(string $ending): string
    {
        $text = '';
        foreach (Formats::writer('x.'.$ending)->write(self::log()) as $piece) {
            $text .= $piece;
        }

        return $text;
    }
}
