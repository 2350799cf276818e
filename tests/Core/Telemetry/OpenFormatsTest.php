<?php

declare(strict_types=1);

namespace Tests\Core\Telemetry;

use Larkspur\Choreography\Plan;
use Larkspur\Fact;
use Larkspur\Flight\Aircraft;
use Larkspur\Flight\Recorder;
use Larkspur\Refusal;
use Larkspur\Scoring\Scorer;
use Larkspur\Telemetry\FlightLog;
use Larkspur\Telemetry\Formats;
use Larkspur\Telemetry\LogNote;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Shots;

use function Tests\said;

/** GPX, KML and GeoJSON: what is written reads back the same, what is missing is said, what is hostile is refused. */
final class OpenFormatsTest extends TestCase
{
    /** @return iterable<string, array{string}> */
    public static function formats(): iterable
    {
        yield 'GPX' => ['gpx'];
        yield 'KML' => ['kml'];
        yield 'GeoJSON' => ['geojson'];
    }

    #[DataProvider('formats')]
    public function test_a_round_trip_loses_nothing_that_the_format_can_hold(string $ending): void
    {
        $log = self::log();
        $back = self::read($ending, self::written($ending, $log));

        self::assertSame($log->count(), $back->count());
        self::assertSame([], $back->lacks);
        self::assertSame([], $back->notes);
        self::assertEqualsWithDelta($log->epoch ?? 0.0, $back->epoch ?? 0.0, 1e-3);
        foreach (array_keys($log->columns) as $column) {
            self::assertEqualsWithDelta(
                $log->column($column), $back->column($column), in_array($column, ['lat', 'lon'], true) ? 1.1e-8 : 6e-4, $column,
            );
        }
        self::assertSame($log->flightModes, $back->flightModes);
    }

    #[DataProvider('formats')]
    public function test_written_twice_it_is_the_same_file(string $ending): void
    {
        $once = self::written($ending, self::log());

        self::assertSame($once, self::written($ending, self::read($ending, $once)));
    }

    #[DataProvider('formats')]
    public function test_a_take_scores_the_same_whichever_way_it_came(string $ending): void
    {
        $plan = self::plan();
        $straight = Scorer::score(self::log(), $plan->move->intent);
        $through = Scorer::score(self::read($ending, self::written($ending, self::log())), $plan->move->intent);

        self::assertEqualsWithDelta($straight->score, $through->score, 0.3);
    }

    public function test_without_camera_data_four_petals_are_judged_and_the_fifth_is_said_to_be_missing(): void
    {
        $bare = (string) preg_replace('#<extensions>.*?</extensions>#', '', self::written('gpx', self::log()));
        $log = self::read('gpx', $bare);
        self::assertSame(['heading_deg', 'gimbal_tilt_deg'], $log->lacks);

        $score = Scorer::score($log, self::plan()->move->intent);
        $facets = $score->facetScores();
        self::assertNull($facets['frame']);
        foreach (['ease', 'flow', 'hold', 'line'] as $facet) {
            self::assertIsFloat($facets[$facet], $facet);
            self::assertGreaterThan(90.0, $facets[$facet], $facet);
        }
        // Once: by the judgement, not by the reader as well.
        $told = array_map(
            static fn (Fact $fact): string => said($fact),
            [...$score->remarks, ...array_map(static fn (LogNote $note): Fact => $note->text, $log->notes)],
        );
        self::assertCount(1, preg_grep('/heading/i', $told) ?: [], implode(' | ', $told));
    }

    /** @return iterable<string, array{string, string}> */
    public static function hostile(): iterable
    {
        $point = '<trkpt lat="57.6" lon="-0.4"><ele>4</ele><time>2026-05-01T10:00:00Z</time></trkpt>';
        $gpx = static fn (string $before, string $inside): string => '<?xml version="1.0"?>'.$before.'<gpx version="1.1" xmlns="http://www.topografix.com/GPX/1/1"><trk><trkseg>'.$inside.'</trkseg></trk></gpx>';
        yield 'an external entity' => ['gpx', $gpx('<!DOCTYPE gpx [<!ENTITY x SYSTEM "file:///etc/hostname">]>', $point)];
        yield 'entities of entities' => ['gpx', $gpx('<!DOCTYPE gpx [<!ENTITY a "aaaaaaaaaa"><!ENTITY b "&a;&a;&a;&a;&a;&a;&a;&a;&a;&a;"><!ENTITY c "&b;&b;&b;&b;&b;&b;&b;&b;&b;&b;">]>', str_repeat($point, 3).'&c;')];
        yield 'a document type alone' => ['kml', '<?xml version="1.0"?><!DOCTYPE kml><kml xmlns="http://www.opengis.net/kml/2.2"/>'];
        yield 'nested beyond reason' => ['gpx', $gpx('', str_repeat('<extensions>', 5000).str_repeat('</extensions>', 5000))];
        yield 'a text without end' => ['gpx', $gpx('', '<name>'.str_repeat('x', 400_000).'</name>'.$point)];
        yield 'cut in the middle' => ['kml', '<?xml version="1.0"?><kml xmlns="http://www.opengis.net/kml/2.2"><Document>'];
        yield 'no XML' => ['gpx', '{"type": "Feature"}'];
        yield 'nothing' => ['gpx', ''];
        yield 'JSON that breaks off' => ['geojson', '{"type": "Feature", "geometry": {"type": "LineString", "coordinates": [[1,2],'];
        yield 'JSON nested beyond reason' => ['geojson', str_repeat('[', 5000).str_repeat(']', 5000)];
        yield 'a number for a file' => ['geojson', '42'];
    }

    #[DataProvider('hostile')]
    public function test_a_hostile_file_is_refused(string $ending, string $text): void
    {
        $this->expectException(Refusal::class);
        self::read($ending, $text);
    }

    public function test_a_hostile_file_costs_no_more_than_its_size(): void
    {
        memory_reset_peak_usage();
        $before = memory_get_usage();
        try {
            self::read('gpx', '<?xml version="1.0"?><gpx version="1.1" xmlns="http://www.topografix.com/GPX/1/1">'.str_repeat('<wpt lat="1" lon="1"/>', 100_000).'</gpx>');
            self::fail('There is no track in it.');
        } catch (Refusal) {
        }
        // The text itself is 2.2 MB and stands twice; all else is read in pieces.
        self::assertLessThan(12e6, memory_get_peak_usage() - $before);
    }

    public function test_a_point_that_cannot_be_is_left_out_and_named(): void
    {
        $text = self::written('gpx', self::log());
        $text = (string) preg_replace('/lat="57\.\d+"/', 'lat="97.0"', $text, 1);
        $log = self::read('gpx', $text);

        self::assertSame(self::log()->count() - 1, $log->count());
        self::assertSame('lat', $log->notes[0]->column);
    }

    public function test_names_choose_the_format_and_others_are_refused(): void
    {
        foreach ([
            'pass.CSV' => 'Csv', 'pass.gpx' => 'Gpx', 'pass.kml' => 'Kml', 'pass.json' => 'GeoJson', 'pass.tsv' => 'Csv',
        ] as $name => $class) {
            self::assertStringContainsString($class, Formats::reader($name)::class);
        }
        foreach (['pass.kmz', 'pass', 'pass.gpx.zip'] as $name) {
            try {
                Formats::reader($name);
                self::fail($name);
            } catch (Refusal $refusal) {
                self::assertStringContainsString('.gpx', said($refusal->expected));
            }
        }
    }

    private static function plan(): Plan
    {
        static $plan = null;

        return $plan ??= Shots::plan(['radius_m' => 21, 'arc_deg' => 75, 'pace_mps' => 2.1]);
    }

    private static function log(): FlightLog
    {
        static $log = null;
        if ($log === null) {
            $plan = self::plan();
            $flown = Recorder::fair()->record(
                Aircraft::flySheet($plan->sheet, $plan->move->flight, $plan->shot->rig, $plan->shot->tune()), $plan->shot->site->frame(), 5,
                'standard',
            );
            $log = new FlightLog($flown->columns, $flown->flightModes, epoch: 1_777_800_000.0);
        }

        return $log;
    }

    private static function written(string $ending, FlightLog $log): string
    {
        $text = '';
        foreach (Formats::writer('pass.'.$ending)->write($log) as $piece) {
            $text .= $piece;
        }

        return $text;
    }

    private static function read(string $ending, string $text): FlightLog
    {
        $stream = fopen('php://temp', 'w+b');
        assert($stream !== false);
        fwrite($stream, $text);
        rewind($stream);

        return Formats::reader('pass.'.$ending)->read($stream);
    }
}
