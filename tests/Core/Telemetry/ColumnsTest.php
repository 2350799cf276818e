<?php

declare(strict_types=1);

namespace Tests\Core\Telemetry;

use Larkspur\Fields;
use Larkspur\Refusal;
use Larkspur\Telemetry\Clock;
use Larkspur\Telemetry\ColumnGuess;
use Larkspur\Telemetry\ColumnMapping;
use Larkspur\Telemetry\ColumnsUnknown;
use Larkspur\Telemetry\FlightCsvReader;
use Larkspur\Telemetry\FlightLog;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Logs of other makers: which column is what, in which unit, by which clock; guessed, confirmed, read. */
final class ColumnsTest extends TestCase
{
    private const OTHER = "Timestamp (ms);Latitude;Longitude;Height [ft];Yaw (deg);Gimbal pitch (deg);Ground speed (km/h);Remark\n";

    /** @return iterable<string, array{string, list<string>, array{string, string}}> */
    public static function headers(): iterable
    {
        yield 'milliseconds' => ['Timestamp (ms)', ['0', '100', '200'], ['t', 'ms']];
        yield 'date and time' => ['GPS time', ['2026-05-01T10:00:00Z', '2026-05-01T10:00:00.1Z'], ['t', 'datetime']];
        yield 'time of day' => ['Time', ['10:00:00.0', '10:00:00.1'], ['t', 'time-of-day']];
        yield 'big latitude' => ['latitude', ['576000450', '576000460'], ['lat', '1e-7 deg']];
        yield 'feet' => ['Altitude (ft)', ['65.6', '65.7'], ['alt_m', 'ft']];
        yield 'heading' => ['Heading [deg]', ['10.0', '359.0'], ['heading_deg', 'deg']];
        yield 'tilt counted downward' => ['Gimbal pitch (deg)', ['12.5', '30.0', '44.0'], ['gimbal_tilt_deg', 'deg, down positive']];
        yield 'tilt as we write it' => ['gimbal_pitch', ['-12.5', '-30.0'], ['gimbal_tilt_deg', 'deg']];
        yield 'speed by the hour' => ['Ground speed (km/h)', ['9.1', '9.3'], ['speed_mps', 'km/h']];
        yield 'a stick in hundredths' => ['Elevator', ['0', '-55', '80'], ['stick_run', '-100 to 100']];
        yield 'a stick as a pulse' => ['Aileron', ['1500', '1230', '1800'], ['stick_slide', '1000 to 2000']];
    }

    /**
     * @param  list<string>  $cells
     * @param  array{string, string}  $expected
     */
    #[DataProvider('headers')]
    public function test_a_column_is_guessed_from_its_name_and_its_values(string $header, array $cells, array $expected): void
    {
        $guess = ColumnGuess::of([$header], array_map(static fn (string $cell): array => [$cell], $cells));

        self::assertSame([$expected[0]], array_keys($guess->columns));
        self::assertSame($header, $guess->columns[$expected[0]]['column']);
        self::assertSame($expected[1], $guess->columns[$expected[0]]['unit']);
        self::assertNotSame([], array_diff(ColumnMapping::NEEDED, array_keys($guess->columns)));
    }

    public function test_what_is_not_known_is_left_and_said(): void
    {
        $guess = ColumnGuess::of(
            ['Time', 'Battery voltage', 'Home latitude', 'Latitude'], [['0', '15.2', '57.6', '57.61'], ['1', '15.1', '57.6', '57.62']],
        );

        self::assertSame(['Battery voltage', 'Home latitude'], $guess->unused);
        self::assertSame('Latitude', $guess->columns['lat']['column']);
    }

    public function test_a_file_of_another_maker_asks_before_it_is_read(): void
    {
        try {
            self::read(self::other(), null);
            self::fail('Nobody confirmed the columns.');
        } catch (ColumnsUnknown $unknown) {
            self::assertSame([], array_diff(ColumnMapping::NEEDED, array_keys($unknown->guess->columns)));
            self::assertSame(['Remark'], $unknown->guess->unused);
            $log = self::read(self::other(), $unknown->guess->mapping());
            self::assertSame(60, $log->count());
            self::assertEqualsWithDelta(65.6 * 0.3048, $log->column('alt_m')[0], 1e-9);
            self::assertEqualsWithDelta(-12.5, $log->column('gimbal_tilt_deg')[0], 1e-9);
            self::assertEqualsWithDelta(5.9, $log->column('t')[59], 1e-9);
            self::assertEqualsWithDelta(2.5, $log->column('speed_mps')[0], 1e-9);
        }
    }

    public function test_a_table_that_is_no_flight_is_refused_and_nothing_asked(): void
    {
        try {
            self::read("item,count\nrope,3\nbuoy,2\n", null);
            self::fail('That was no flight.');
        } catch (Refusal $refusal) {
            self::assertNotInstanceOf(ColumnsUnknown::class, $refusal);
            self::assertSame('line 1, column t', $refusal->place);
        }
    }

    public function test_a_mapping_is_found_again_whatever_the_order_of_the_columns(): void
    {
        $headers = explode(';', trim(self::OTHER));
        $mixed = array_reverse($headers);

        self::assertSame(ColumnMapping::fingerprint($headers), ColumnMapping::fingerprint(array_map(strtoupper(...), $mixed)));
        self::assertNotSame(ColumnMapping::fingerprint($headers), ColumnMapping::fingerprint(array_slice($headers, 1)));
    }

    public function test_a_mapping_written_reads_back_the_same(): void
    {
        $mapping = new ColumnMapping(self::columns());

        self::assertEquals($mapping, ColumnMapping::read(Fields::of($mapping->toArray())));
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function wrong(): iterable
    {
        $columns = self::columns();
        yield 'no height' => [['columns' => array_diff_key($columns, ['alt_m' => 1])], 'columns.alt_m'];
        yield 'no such quantity' => [['columns' => [...$columns, 'mood' => ['column' => 'M', 'unit' => '']]], 'columns.mood'];
        yield 'no such unit' => [
            ['columns' => [...$columns, 'alt_m' => ['column' => 'Height [ft]', 'unit' => 'fathom']]], 'columns.alt_m.unit',
        ];
        yield 'one column twice' => [['columns' => [...$columns, 'speed_mps' => ['column' => 'Latitude', 'unit' => 'm/s']]], 'columns.lat'];
        yield 'another schema' => [['schema' => 'larkspur/columns/9', 'columns' => $columns], 'schema'];
    }

    /** @param  array<string, mixed>  $document */
    #[DataProvider('wrong')]
    public function test_a_mapping_that_cannot_be_is_refused_at_its_place(array $document, string $place): void
    {
        try {
            ColumnMapping::read(Fields::of($document));
            self::fail('It was taken.');
        } catch (Refusal $refusal) {
            self::assertSame($place, $refusal->place);
        }
    }

    public function test_a_mapping_of_columns_that_are_not_there_is_refused(): void
    {
        $this->expectException(Refusal::class);
        self::read(self::other(), new ColumnMapping([...self::columns(), 'alt_m' => ['column' => 'Altitude', 'unit' => 'm']]));
    }

    /** @return iterable<string, array{Clock, string, ?float}> */
    public static function times(): iterable
    {
        yield 'seconds' => [Clock::Seconds, '12.5', 12.5];
        yield 'milliseconds' => [Clock::Milliseconds, '12500', 12.5];
        yield 'microseconds' => [Clock::Microseconds, '12500000', 12.5];
        yield 'the epoch' => [Clock::DateTime, '1970-01-01T00:00:00Z', 0.0];
        // 946,684,800 s is 2000-01-01 in POSIX time (IEEE Std 1003.1; widely published).
        yield 'the millennium' => [Clock::DateTime, '2000-01-01T00:00:00Z', 946684800.0];
        yield 'with a zone' => [Clock::DateTime, '2000-01-01T02:00:00.25+02:00', 946684800.25];
        yield 'with a space, no zone' => [Clock::DateTime, '2000-01-01 00:00:01,5', 946684801.5];
        yield 'no such day' => [Clock::DateTime, '2026-06-31T10:00:00Z', null];
        yield 'day first' => [Clock::DateTime, '20/06/2026 19:30', null];
        yield 'a time of day' => [Clock::TimeOfDay, '01:02:03.5', 3723.5];
        yield 'words' => [Clock::Seconds, 'soon', null];
        yield 'beyond all numbers' => [Clock::Seconds, '1e999', null];
    }

    #[DataProvider('times')]
    public function test_clocks(Clock $clock, string $cell, ?float $seconds): void
    {
        self::assertSame($seconds, $clock->seconds($cell));
    }

    public function test_a_time_written_reads_back_to_the_millisecond(): void
    {
        foreach ([0.0, 1.9996, 1_777_800_000.123, 1_777_800_059.9999] as $seconds) {
            self::assertEqualsWithDelta($seconds, Clock::dateTime(Clock::written($seconds)), 6e-4);
        }
    }

    /** @return array<string, array{column: string, unit: string}> */
    private static function columns(): array
    {
        return [
            't' => ['column' => 'Timestamp (ms)', 'unit' => 'ms'], 'lat' => ['column' => 'Latitude', 'unit' => 'deg'],
            'lon' => ['column' => 'Longitude', 'unit' => 'deg'], 'alt_m' => ['column' => 'Height [ft]', 'unit' => 'ft'],
        ];
    }

    private static function other(): string
    {
        $text = self::OTHER;
        for ($i = 0; $i < 60; $i++) {
            $text .= sprintf("%d;57,6000%04d;-0,40000000;65,6;90,0;12,5;9,0;fine\n", $i * 100, $i);
        }

        return $text;
    }

    private static function read(string $text, ?ColumnMapping $mapping): FlightLog
    {
        $stream = fopen('php://temp', 'w+b');
        assert($stream !== false);
        fwrite($stream, $text);
        rewind($stream);

        return (new FlightCsvReader($mapping))->read($stream);
    }
}
