<?php

declare(strict_types=1);

namespace Tests\Core\Telemetry;

use Larkspur\Flight\Recorder;
use Larkspur\Refusal;
use Larkspur\Telemetry\Clock;
use Larkspur\Telemetry\ColumnsUnknown;
use Larkspur\Telemetry\FlightCsvReader;
use Larkspur\Telemetry\FlightLog;
use Larkspur\Telemetry\Formats;
use Larkspur\Telemetry\LogNote;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Shots;

/** The same flight as converters and recorders of many makers write it: read by a guess, and the same flight again. */
final class OtherMakersTest extends TestCase
{
    private const BEGAN = 1764410400;

    /** @return iterable<string, array{callable(FlightLog): string}> */
    public static function tables(): iterable
    {
        yield 'German, semicolons, decimal commas, a named separator and a preamble' => [static fn (FlightLog $log): string => self::table(
            $log, "sep=;\nFlugschreiber;Fassung 3\n\nZeit [ms];Breite;Länge;Höhe [m];Kurs [°];Kameraneigung [°]",
            static fn (array $r): string => strtr(implode(';', [
                1000 * $r['t'], $r['lat'], $r['lon'], $r['alt_m'], $r['heading_deg'], $r['gimbal_tilt_deg'],
            ]), '.', ','),
        )];
        yield 'tabs, 1e-7 degrees, millimetres, microseconds since 1970, heading to either side' => [static fn (FlightLog $log): string => self::table(
            $log, "timestamp\tlat\tlon\talt\thdg\tgimbal_pitch",
            static fn (array $r): string => implode("\t", [
                sprintf('%.0f', 1e6 * (self::BEGAN + $r['t'])), round(1e7 * $r['lat']), round(1e7 * $r['lon']), round(1000 * $r['alt_m']),
                $r['heading_deg'] > 180 ? $r['heading_deg'] - 360 : $r['heading_deg'], $r['gimbal_tilt_deg'],
            ]),
        )];
        yield 'French, the day before the month, radians' => [static fn (FlightLog $log): string => self::table(
            $log, 'Heure;Latitude;Longitude;Hauteur (m);Cap (rad);Inclinaison (rad)',
            static fn (array $r): string => implode(';', [
                gmdate('d.m.Y H:i:', (int) (self::BEGAN + $r['t'])).sprintf('%06.3f', fmod(self::BEGAN + $r['t'], 60)), $r['lat'],
                $r['lon'],
                $r['alt_m'], deg2rad($r['heading_deg']), deg2rad($r['gimbal_tilt_deg']),
            ]),
        )];
        yield 'Spanish, feet, down positive' => [static fn (FlightLog $log): string => self::table(
            $log, "\u{FEFF}Tiempo (s),Latitud,Longitud,Altitud (ft),Rumbo,Inclinación",
            static fn (array $r): string => implode(',', [
                $r['t'], $r['lat'], $r['lon'], $r['alt_m'] / 0.3048, $r['heading_deg'], -$r['gimbal_tilt_deg'],
            ]),
        )];
        yield 'bare abbreviations, milliseconds since 1970' => [static fn (FlightLog $log): string => self::table(
            $log, 'ts,lat,lng,hgt,yaw,tilt',
            static fn (array $r): string => implode(',', [
                sprintf('%.0f', 1000 * (self::BEGAN + $r['t'])), $r['lat'], $r['lon'], $r['alt_m'], $r['heading_deg'],
                $r['gimbal_tilt_deg'],
            ]),
        )];
    }

    /** @param  callable(FlightLog): string  $written */
    #[DataProvider('tables')]
    public function test_a_table_of_another_maker_is_guessed_and_read(callable $written): void
    {
        $log = self::flown();
        $text = $written($log);
        try {
            (new FlightCsvReader)->read(self::stream($text));
            self::fail('its columns are not ours');
        } catch (ColumnsUnknown $unknown) {
            foreach ($unknown->guess->columns as $column) {
                self::assertNotSame([], $column['samples']);
            }
            $read = (new FlightCsvReader($unknown->guess->mapping()))->read(self::stream($text));
        }

        self::assertSameFlight($log, $read);
    }

    public function test_what_stands_before_the_header_is_left_out_and_said(): void
    {
        $log = self::flown();
        $text = "Recorder of the school\nFlight 12; calm\n".self::table(
            $log, 't,lat,lon,alt_m,heading_deg,gimbal_tilt_deg', static fn (array $r): string => implode(',', array_slice($r, 0, 6)),
        );
        $read = (new FlightCsvReader)->read(self::stream($text));

        self::assertSameFlight($log, $read);
        self::assertSame('flight-csv-reader.lines-before', $read->notes[0]->text->code);
    }

    /** @return iterable<string, array{string, callable(FlightLog): string}> */
    public static function files(): iterable
    {
        $stamp = static fn (float $t): string => Clock::written(self::BEGAN + $t);
        $marks = static fn (FlightLog $log, string $time, string $more = ''): string => implode("\n", array_map(
            static fn (array $r): string => '<Placemark>'.sprintf($time, $stamp($r['t']))
                .sprintf($more, $r['heading_deg'], $r['gimbal_tilt_deg'])
                ."<Point><coordinates>{$r['lon']},{$r['lat']},{$r['alt_m']}</coordinates></Point></Placemark>",
            self::rows($log),
        ));
        $kml = static fn (string $body): string => '<?xml version="1.0"?><kml xmlns="http://www.opengis.net/kml/2.2"><Document>'.$body.'</Document></kml>';
        $line = static fn (FlightLog $log): string => '<Placemark><MultiGeometry><LineString><coordinates>'.implode(' ', array_map(
            static fn (array $r): string => "{$r['lon']},{$r['lat']},{$r['alt_m']}", self::rows($log),
        )).'</coordinates></LineString></MultiGeometry></Placemark>';
        yield 'KML, dated points beside a line' => ['kml', static fn (FlightLog $log): string => $kml(
            $marks($log, '<TimeStamp><when>%s</when></TimeStamp>').$line($log),
        )];
        yield 'KML, spans of time, with where the lens looked' => ['kml', static fn (FlightLog $log): string => $kml($marks(
            $log, '<TimeSpan><begin>%s</begin></TimeSpan>',
            '<ExtendedData><SchemaData><SimpleData name="heading_deg">%s</SimpleData><SimpleData name="gimbal_tilt_deg">%s</SimpleData></SchemaData></ExtendedData>',
        ))];
        yield 'GPX 1.0 with speed and course' => ['gpx', static fn (FlightLog $log): string => '<?xml version="1.0"?>'
            .'<gpx version="1.0" creator="a converter" xmlns="http://www.topografix.com/GPX/1/0"><trk><trkseg>'.implode('', array_map(
                static fn (array $r): string => "<trkpt lat=\"{$r['lat']}\" lon=\"{$r['lon']}\"><ele>{$r['alt_m']}</ele>"
                    ."<time>{$stamp($r['t'])}</time><course>10</course><speed>2.5</speed></trkpt>", self::rows($log),
            )).'</trkseg></trk></gpx>'];
        yield 'GeoJSON, dated points, WGS 84 named' => ['geojson', static fn (FlightLog $log): string => (string) json_encode([
            'type' => 'FeatureCollection', 'crs' => ['type' => 'name', 'properties' => ['name' => 'urn:ogc:def:crs:OGC:1.3:CRS84']],
            'features' => array_map(static fn (array $r): array => [
                'type' => 'Feature', 'geometry' => ['type' => 'Point', 'coordinates' => [$r['lon'], $r['lat'], $r['alt_m']]],
                'properties' => ['time' => $stamp($r['t'])],
            ], self::rows($log)),
        ])];
        yield 'GeoJSON, a line with its times' => ['geojson', static fn (FlightLog $log): string => (string) json_encode([
            'type' => 'Feature', 'geometry' => [
                'type' => 'LineString',
                'coordinates' => array_map(static fn (array $r): array => [$r['lon'], $r['lat'], $r['alt_m']], self::rows($log)),
            ],
            'properties' => ['coordTimes' => array_map(static fn (array $r): string => $stamp($r['t']), self::rows($log))],
        ])];
    }

    /** @param  callable(FlightLog): string  $written */
    #[DataProvider('files')]
    public function test_what_a_converter_writes_is_the_same_flight(string $format, callable $written): void
    {
        $log = self::flown();

        self::assertSameFlight($log, Formats::reader("flight.$format")->read(self::stream($written($log))));
    }

    public function test_a_file_without_heights_says_that_it_has_none(): void
    {
        $log = self::flown();
        $points = static fn (string $height): string => '<?xml version="1.0"?><gpx version="1.1" creator="a converter" '
            .'xmlns="http://www.topografix.com/GPX/1/1"><trk><trkseg>'.implode('', array_map(
                static fn (array $r): string => "<trkpt lat=\"{$r['lat']}\" lon=\"{$r['lon']}\">".sprintf($height, $r['alt_m'])
                    .'<time>'.Clock::written(self::BEGAN + $r['t']).'</time></trkpt>', self::rows($log),
            )).'</trkseg></trk></gpx>';
        foreach (['<ele>%s</ele>' => [], '' => ['alt_m']] as $height => $columns) {
            $notes = Formats::reader('flight.gpx')->read(self::stream($points($height)))->notes;
            self::assertSame($columns, array_values(array_filter(array_map(static fn (LogNote $note): string => $note->column, $notes))));
        }
    }

    public function test_another_reference_system_is_refused(): void
    {
        $this->expectException(Refusal::class);
        Formats::reader('flight.geojson')->read(self::stream(
            '{"type":"FeatureCollection","crs":{"type":"name","properties":{"name":"urn:ogc:def:crs:EPSG::3857"}},"features":[]}',
        ));
    }

    private static function assertSameFlight(FlightLog $log, FlightLog $read): void
    {
        self::assertSame($log->count(), $read->count());
        $first = [$log->column('t')[0], $read->column('t')[0]];
        foreach ([0, intdiv($log->count(), 2), $log->count() - 1] as $i) {
            self::assertEqualsWithDelta($log->column('t')[$i] - $first[0], $read->column('t')[$i] - $first[1], 2e-3);
            self::assertEqualsWithDelta($log->column('lat')[$i], $read->column('lat')[$i], 2e-7);
            self::assertEqualsWithDelta($log->column('lon')[$i], $read->column('lon')[$i], 2e-7);
            self::assertEqualsWithDelta($log->column('alt_m')[$i], $read->column('alt_m')[$i], 2e-3);
            if (! in_array('heading_deg', $read->lacks, true)) {
                self::assertEqualsWithDelta(
                    0.0, fmod($log->column('heading_deg')[$i] - $read->column('heading_deg')[$i] + 540, 360) - 180, 1e-3,
                );
                self::assertEqualsWithDelta($log->column('gimbal_tilt_deg')[$i], $read->column('gimbal_tilt_deg')[$i], 1e-3);
            }
        }
    }

    /** @param  callable(array<string, float>): string  $row */
    private static function table(FlightLog $log, string $header, callable $row): string
    {
        return $header."\n".implode("\n", array_map($row, self::rows($log)))."\n";
    }

    /** @return list<array<string, float>> */
    private static function rows(FlightLog $log): array
    {
        $rows = [];
        for ($i = 0; $i < $log->count(); $i++) {
            foreach (['t', 'lat', 'lon', 'alt_m', 'heading_deg', 'gimbal_tilt_deg'] as $name) {
                $rows[$i][$name] = round($log->column($name)[$i], 8);
            }
        }

        return array_values($rows);
    }

    private static function flown(): FlightLog
    {
        $plan = Shots::plan(['radius_m' => 21.0, 'arc_deg' => 120.0, 'pace_mps' => 2.5]);

        return (new Recorder)->record($plan->move->flight, $plan->shot->site->frame());
    }

    /** @return resource */
    private static function stream(string $text): mixed
    {
        $stream = fopen('php://memory', 'r+b');
        assert($stream !== false);
        fwrite($stream, $text);
        rewind($stream);

        return $stream;
    }
}
