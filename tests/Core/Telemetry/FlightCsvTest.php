<?php

declare(strict_types=1);

namespace Tests\Core\Telemetry;

use Larkspur\Flight\Recorder;
use Larkspur\Refusal;
use Larkspur\Telemetry\FlightCsvReader;
use Larkspur\Telemetry\FlightLog;
use Larkspur\Telemetry\Formats;
use Larkspur\Telemetry\GeoJsonWriter;
use Larkspur\Telemetry\LogNote;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Shots;

use function Tests\said;

/** Reading and writing Flight CSV: RFC 4180 with one record a line (docs/formats.md). */
final class FlightCsvTest extends TestCase
{
    private const HEADER = 't,lat,lon,alt_m,heading_deg,gimbal_tilt_deg';

    public function test_a_written_log_reads_back_the_same(): void
    {
        $plan = Shots::plan(['radius_m' => 20, 'arc_deg' => 60, 'pace_mps' => 2]);
        $log = Recorder::fair()->record(
            \Larkspur\Flight\Aircraft::flySheet($plan->sheet, $plan->move->flight, $plan->shot->rig, $plan->shot->tune()),
            $plan->shot->site->frame(), 3, 'standard',
        );
        $back = Shots::readCsv(Shots::csv($log));

        self::assertSame($log->count(), $back->count());
        self::assertSame($log->flightModes, $back->flightModes);
        self::assertSame([], $back->notes);
        foreach (['t' => 1e-3, 'lat' => 1e-8, 'alt_m' => 1e-4, 'stick_slide' => 1e-4] as $column => $tolerance) {
            self::assertEqualsWithDelta($log->column($column), $back->column($column), $tolerance);
        }
    }

    public function test_written_files_keep_to_rfc_4180(): void
    {
        $text = Shots::csv(Shots::readCsv(self::rows(40)));

        self::assertStringEndsWith("\r\n", $text);
        self::assertSame(substr_count($text, "\n"), substr_count($text, "\r\n"));
        self::assertSame(self::HEADER, strtok($text, "\r\n"));
    }

    public function test_dialects_are_understood(): void
    {
        $plain = Shots::readCsv(self::rows(40))->column('lat');
        $semicolons = preg_replace('/(\d)\.(\d)/', '$1,$2', str_replace(',', ';', self::rows(40)));
        self::assertSame($plain, Shots::readCsv((string) $semicolons)->column('lat'));
        self::assertSame($plain, Shots::readCsv(str_replace(',', "\t", self::rows(40)))->column('lat'));
        self::assertSame($plain, Shots::readCsv("\xEF\xBB\xBF".self::rows(40))->column('lat'));
        self::assertSame($plain, Shots::readCsv(str_replace("\n", "\r\n", self::rows(40)))->column('lat'));
        self::assertSame($plain, Shots::readCsv(strtoupper(substr(self::rows(40), 0, 40)).substr(self::rows(40), 40))->column('lat'));
    }

    public function test_unit_bearing_names_are_converted_and_said(): void
    {
        $log = Shots::readCsv(str_replace('alt_m', 'alt_ft', self::rows(40)));

        self::assertEqualsWithDelta(12 * 0.3048, $log->column('alt_m')[0], 1e-9);
        self::assertStringContainsString('alt_ft', said($log->notes[0]->text));
    }

    public function test_rows_that_cannot_be_read_are_named_by_line_and_left_out(): void
    {
        $lines = explode("\n", self::rows(60));
        $lines[10] = '0.9,nan,-0.4,12,90,-10';
        $lines[20] = '1.9,57.6,-0.4';
        $lines[30] = '2.9,57.6,-0.4,12 ft,90,-10';
        $lines[40] = '3.9,91.2,-0.4,12,90,-10';
        $lines[50] = '4.9,57.6,-0.4,"12,90,-10';
        $log = Shots::readCsv(implode("\n", $lines));
        $notes = array_map(static fn ($note): array => [$note->line, $note->column], $log->notes);

        self::assertSame(55, $log->count());
        self::assertSame([[11, 'lat'], [21, ''], [31, 'alt_m'], [41, 'lat'], [51, '']], array_slice($notes, 0, 5));
        self::assertStringContainsString('unit of its own', said($log->notes[2]->text));
        self::assertStringContainsString('wrong way round', said($log->notes[3]->text));
        self::assertStringContainsString('quote', said($log->notes[4]->text));
    }

    public function test_time_that_repeats_or_goes_back_is_mended_and_said(): void
    {
        $lines = explode("\n", self::rows(60));
        [$lines[20], $lines[21]] = [$lines[21], $lines[20]];
        $lines[40] = $lines[39];
        $log = Shots::readCsv(implode("\n", $lines));
        $t = $log->column('t');
        $sorted = $t;
        sort($sorted);

        self::assertSame($sorted, $t);
        self::assertSame(59, $log->count());
        $words = implode(' ', array_map(static fn ($note): string => said($note->text), $log->notes));
        self::assertStringContainsString('goes back once', $words);
        self::assertStringContainsString('One row repeats a time', $words);
    }

    public function test_gaps_are_told(): void
    {
        $lines = explode("\n", self::rows(80));
        array_splice($lines, 30, 20);
        $log = Shots::readCsv(implode("\n", $lines));

        self::assertStringContainsString('One gap in the log, the longest 2.1 s', said($log->notes[0]->text));
    }

    /** @return iterable<string, array{string, string, string}> */
    public static function hopeless(): iterable
    {
        yield 'nothing at all' => ['', 'line 1', 'empty'];
        yield 'a header alone' => [self::HEADER."\n", 'line 2', 'Only 0 rows'];
        yield 'binary' => ["\x7FELF\x02\x01\x00\x00\x00\x01\n".str_repeat("\x00\x01\x02", 400), 'line 1', 'not a text file'];
        yield 'UTF-16' => ["\xFF\xFE".mb_convert_encoding(self::rows(40), 'UTF-16LE'), 'line 1', 'UTF-16'];
        yield 'Latin-1' => [str_replace('heading_deg', "h\xF6he", self::rows(40)), 'line 1', 'not written in UTF-8'];
        yield 'wrong column names' => [
            str_replace('heading_deg', 'yaw', self::rows(40)), 'line 1, column heading_deg', 'heading_deg or heading_rad',
        ];
        yield 'two columns for one quantity' => [str_replace('gimbal_tilt_deg', 'alt_ft', self::rows(40)), 'line 1', 'alt_m” and “alt_ft'];
        yield 'mostly units in cells' => [
            (string) preg_replace('/,12,/', ',12 ft,', self::rows(40)), 'line 2, column alt_m', 'unit of its own',
        ];
        yield 'no time at all' => [(string) preg_replace('/^[\d.]+,/m', ',', self::rows(40)), 'line 2, column t', 'can’t be read'];
        yield 'time that stands still' => [(string) preg_replace('/^[\d.]+,/m', '5,', self::rows(40)), 'line 3, column t', 'stands still'];
        yield 'NaN throughout' => [(string) preg_replace('/,90,/', ',NaN,', self::rows(40)), 'line 2, column heading_deg', 'can’t be read'];
        yield 'a line that never ends' => [str_repeat('x', 70000), 'line 1', 'never ends'];
    }

    #[DataProvider('hopeless')]
    public function test_hopeless_files_are_refused_with_place_and_reason(string $text, string $place, string $words): void
    {
        try {
            Shots::readCsv($text);
            self::fail('It was read.');
        } catch (Refusal $refusal) {
            self::assertSame($place, $refusal->place);
            self::assertStringContainsString($words, said($refusal->fact));
        }
    }

    public function test_a_log_whose_times_run_backwards_throughout_says_so(): void
    {
        $rows = explode("\n", trim(self::rows(60)));
        $header = array_shift($rows);
        $log = Shots::readCsv($header."\n".implode("\n", array_reverse($rows))."\n");
        $notes = array_map(static fn (LogNote $note): string => said($note->text), $log->notes);

        self::assertCount(60, $log->column('t'));
        self::assertCount(1, preg_grep('/backwards/', $notes) ?: [], implode(' | ', $notes));
    }

    /** @return iterable<string, array{string}> */
    public static function invalidCsv(): iterable
    {
        foreach (['invalid-after-quote', 'invalid-bare-quote', 'invalid-ragged', 'invalid-unclosed-quote', 'hostile-formula'] as $name) {
            yield $name => [$name];
        }
    }

    #[DataProvider('invalidCsv')]
    public function test_broken_or_hostile_csv_from_elsewhere_is_refused_whole(string $name): void
    {
        $this->expectException(Refusal::class);
        Shots::readCsv((string) file_get_contents(dirname(__DIR__, 2).'/fixtures/csv/'.$name.'.csv'));
    }

    public function test_progress_is_told_and_the_file_is_read_in_pieces(): void
    {
        $stream = fopen('php://temp/maxmemory:1048576', 'w+b');
        self::assertNotFalse($stream);
        fwrite($stream, self::HEADER."\n");
        for ($i = 0; $i < 45000; $i++) {
            fwrite($stream, sprintf("%.2f,57.6,-0.4,12,90,-10\n", $i / 50));
        }
        rewind($stream);
        $told = [];
        $log = (new FlightCsvReader)->read($stream, static function (int $bytes) use (&$told): void {
            $told[] = $bytes;
        });

        self::assertSame(45000, $log->count());
        self::assertCount(2, $told);
        self::assertGreaterThan($told[0], $told[1]);
    }

    public function test_geojson_is_valid_and_in_order(): void
    {
        $text = implode('', [...(new GeoJsonWriter)->write(Shots::readCsv(self::rows(40)))]);
        $feature = json_decode($text, true, flags: JSON_THROW_ON_ERROR)['features'][0];

        // RFC 7946: longitude first, latitude second.
        self::assertEqualsWithDelta([-0.4, 57.6, 12.0], $feature['geometry']['coordinates'][0], 1e-6);
        self::assertCount(40, $feature['geometry']['coordinates']);
        self::assertCount(40, $feature['properties']['coordTimes']);
    }

    public function test_unknown_formats_are_refused_by_name(): void
    {
        foreach ([static fn () => Formats::reader('pass.mov'), static fn () => Formats::writer('pass')] as $ask) {
            try {
                $ask();
                self::fail('It was taken.');
            } catch (Refusal $refusal) {
                self::assertStringContainsString('.csv', said($refusal->expected));
            }
        }
    }

    public function test_a_part_of_a_log_keeps_its_times(): void
    {
        $part = Shots::readCsv(self::rows(80))->between(2.0, 3.0);

        self::assertSame(2.0, $part->from());
        self::assertSame(3.0, $part->to());
        self::assertSame(11, $part->count());
        self::assertSame(FlightLog::REQUIRED, array_keys($part->columns));
    }

    private static function rows(int $count): string
    {
        $text = self::HEADER."\n";
        for ($i = 0; $i < $count; $i++) {
            $text .= sprintf("%.1f,%.6f,-0.400000,12,90,-10\n", $i / 10, 57.6 + $i * 1e-6);
        }

        return $text;
    }
}
