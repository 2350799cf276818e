<?php

declare(strict_types=1);

namespace Tests\Checks;

use Larkspur\Flight\OperatorHabits;
use Larkspur\Flight\Recorder;
use Larkspur\Flight\SimulatedOperator;
use Larkspur\Refusal;
use Larkspur\Site\Wind;
use Larkspur\Telemetry\ColumnMapping;
use Larkspur\Telemetry\ColumnsUnknown;
use Larkspur\Telemetry\FlightLog;
use Larkspur\Telemetry\Formats;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\MoveDraw;

/**
 * Logs as the open-source converters of Debian write them from our own GPX: gpsbabel (1.8) and ogr2ogr of GDAL (3.6), run as programs
 * here. What they wrote comes back in the same places at the same times, to the digits that each of them keeps.
 */
final class ConvertersTest extends TestCase
{
    private static string $folder;

    private static FlightLog $flown;

    public static function setUpBeforeClass(): void
    {
        self::$folder = sys_get_temp_dir().'/larkspur-converters-'.bin2hex(random_bytes(6));
        mkdir(self::$folder);
        foreach (MoveDraw::feasible('orbit', 3, 4, 0.4) as $plan) {
            $flight = SimulatedOperator::fly($plan, new OperatorHabits, Wind::still(), 3);
            self::$flown = (new Recorder(10.0))->record($flight, $plan->shot->site->frame(), 3);
            break;
        }
        $path = self::$folder.'/flown.gpx';
        // Converters take the first second of 1970 for no time at all; a flight has a date.
        file_put_contents($path, str_replace('1970-01-01T', '2026-05-03T', implode('', [...Formats::writer($path)->write(self::$flown)])));
    }

    public static function tearDownAfterClass(): void
    {
        array_map(unlink(...), glob(self::$folder.'/*') ?: []);
        rmdir(self::$folder);
    }

    /** @return iterable<string, array{string, string, bool}> command, the ending of what it writes, and whether all columns come along */
    public static function conversions(): iterable
    {
        yield 'gpsbabel KML' => ['gpsbabel -i gpx -f {in} -o kml -F {out}', 'kml', false];
        yield 'gpsbabel KML with tracks' => ['gpsbabel -i gpx -f {in} -o kml,track=1 -F {out}', 'kml', false];
        yield 'gpsbabel GPX 1.0' => ['gpsbabel -i gpx -f {in} -o gpx,gpxver=1.0 -F {out}', 'gpx', true];
        yield 'gpsbabel GPX 1.1' => ['gpsbabel -i gpx -f {in} -o gpx,gpxver=1.1 -F {out}', 'gpx', true];
        yield 'GDAL KML' => ['ogr2ogr -f KML {out} {in} track_points', 'kml', true];
        yield 'GDAL LIBKML' => ['ogr2ogr -f LIBKML {out} {in} track_points', 'kml', true];
        yield 'GDAL GeoJSON' => ['ogr2ogr -f GeoJSON {out} {in} track_points', 'geojson', true];
        yield 'GDAL GPX with extensions' => ['ogr2ogr -f GPX -dsco GPX_USE_EXTENSIONS=YES {out} {in} track_points', 'gpx', true];
    }

    #[DataProvider('conversions')]
    public function test_what_a_converter_writes_is_the_flight_that_it_was_given(string $command, string $ending, bool $whole): void
    {
        $log = self::read(self::converted($command, $ending), $ending);

        self::assertSame(self::$flown->count(), $log->count());
        self::assertAlike($log);
        if ($whole) {
            self::assertEqualsWithDelta(self::$flown->column('heading_deg')[120], $log->column('heading_deg')[120], 0.01);
            self::assertEqualsWithDelta(self::$flown->column('stick_slide')[120], $log->column('stick_slide')[120], 0.001);
        }
    }

    /** @return iterable<string, array{string}> */
    public static function tables(): iterable
    {
        yield 'gpsbabel table' => ['gpsbabel -t -i gpx -f {in} -o unicsv,utc=0 -F {out}'];
        yield 'GDAL table with semicolons' => ['ogr2ogr -f CSV {out} {in} track_points -lco GEOMETRY=AS_XY -lco SEPARATOR=SEMICOLON'];
        yield 'GDAL table with tabs' => ['ogr2ogr -f CSV {out} {in} track_points -lco GEOMETRY=AS_XY -lco SEPARATOR=TAB'];
    }

    #[DataProvider('tables')]
    public function test_a_table_is_read_by_what_its_columns_seem_to_be(string $command): void
    {
        $path = self::converted($command, 'csv');
        try {
            self::read($path, 'csv');
            self::fail('Columns of such names are asked about.');
        } catch (ColumnsUnknown $unknown) {
            $log = self::read($path, 'csv', $unknown->guess->mapping());
        }

        self::assertSame(self::$flown->count(), $log->count());
        self::assertAlike($log, 6e-7);
    }

    public function test_a_line_without_times_is_refused_in_words(): void
    {
        $this->expectException(Refusal::class);
        $this->expectExceptionMessageMatches('/time/i');
        self::read(self::converted('gpsbabel -i gpx -f {in} -o geojson -F {out}', 'geojson'), 'geojson');
    }

    /** Places to a tenth of a metre, heights to the decimetre that a table keeps, times to the millisecond. */
    private static function assertAlike(FlightLog $log, float $degrees = 1e-6): void
    {
        foreach ([0, 60, 120, self::$flown->count() - 1] as $i) {
            self::assertEqualsWithDelta(self::$flown->column('lat')[$i], $log->column('lat')[$i], $degrees, "lat $i");
            self::assertEqualsWithDelta(self::$flown->column('lon')[$i], $log->column('lon')[$i], $degrees, "lon $i");
            self::assertEqualsWithDelta(self::$flown->column('alt_m')[$i], $log->column('alt_m')[$i], 0.06, "alt $i");
            self::assertEqualsWithDelta(
                self::$flown->column('t')[$i] - self::$flown->column('t')[0], $log->column('t')[$i] - $log->column('t')[0], 2e-3, "t $i",
            );
        }
    }

    private static function converted(string $command, string $ending): string
    {
        $out = self::$folder.'/'.bin2hex(random_bytes(4)).'.'.$ending;
        exec(strtr($command, ['{in}' => self::$folder.'/flown.gpx', '{out}' => $out]).' 2>&1', $said);
        self::assertFileExists($out, implode("\n", $said));

        return $out;
    }

    private static function read(string $path, string $ending, ?ColumnMapping $mapping = null): FlightLog
    {
        $stream = fopen($path, 'r') ?: self::fail();
        try {
            return Formats::reader("flown.$ending", $mapping)->read($stream);
        } finally {
            fclose($stream);
        }
    }
}
