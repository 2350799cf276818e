<?php

declare(strict_types=1);

namespace Tests\Core\Telemetry;

use Larkspur\Refusal;
use Larkspur\Telemetry\FlightLog;
use Larkspur\Telemetry\KmlReader;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * KML as it may lie in a file: tracks, dated points, or both, whole or not (OGC KML 2.2, 07-147r2, elements Track and TimeSpan; a track’s
 * values stand in gx:SimpleArrayData of the extension namespace).
 */
final class KmlTest extends TestCase
{
    private const SAMPLES = 40;

    public function test_a_track_says_it_more_closely_than_the_points_beside_it(): void
    {
        $log = self::read(self::points(self::SAMPLES, 5.0).self::track(self::SAMPLES, 10.0));

        self::assertSame(self::SAMPLES, $log->count());
        self::assertSame(10.0, $log->column('alt_m')[0]);
        self::assertSame(5.0, self::read(self::points(self::SAMPLES, 5.0))->column('alt_m')[0]);
    }

    public function test_two_tracks_are_one_log(): void
    {
        $log = self::read(self::track(self::SAMPLES, 10.0).self::track(self::SAMPLES, 12.0, from: 100));

        self::assertSame(2 * self::SAMPLES, $log->count());
        self::assertEqualsWithDelta(10.0, $log->column('t')[self::SAMPLES], 1e-3);
        self::assertSame(12.0, $log->column('alt_m')[self::SAMPLES]);
    }

    public function test_lines_and_areas_are_no_samples(): void
    {
        $line = '<Placemark><TimeStamp><when>2026-05-03T08:00:00Z</when></TimeStamp><LineString><coordinates>-0.4,57.6,3 -0.3,57.6,3'
            .'</coordinates></LineString></Placemark>';

        self::assertSame(self::SAMPLES, self::read($line.self::points(self::SAMPLES, 5.0))->count());
        // And points that nobody dated are none either.
        $this->expectException(Refusal::class);
        self::read(str_replace('when>', 'note>', self::points(self::SAMPLES, 5.0)).$line);
    }

    public function test_values_and_modes_come_with_their_samples_and_what_is_no_number_is_not_known(): void
    {
        $values = '<ExtendedData><SchemaData>'
            .self::array('stick_turn', array_map(
                static fn (int $i): string => $i === 3 ? 'n/a' : (string) ($i / 100), range(0, self::SAMPLES - 1),
            ))
            .self::array('flight_mode', array_fill(0, self::SAMPLES, 'slow'))
            .self::array('mood', array_fill(0, self::SAMPLES, '7'))
            .'</SchemaData></ExtendedData>';
        $log = self::read(self::track(self::SAMPLES, 10.0, more: $values));

        self::assertSame(0.02, $log->column('stick_turn')[2]);
        self::assertNan($log->column('stick_turn')[3]);
        self::assertSame('slow', $log->flightModes[0]);
        self::assertFalse($log->has('mood'));
        self::assertSame(['heading_deg', 'gimbal_tilt_deg'], $log->lacks);
    }

    public function test_a_point_has_values_and_a_mode_of_its_own(): void
    {
        $data = '<ExtendedData><Data name="heading_deg"><value>91.5</value></Data><Data name="gimbal_tilt_deg"><value>-12</value></Data>'
            .'<Data name="flight_mode"><value>fast</value></Data><Data name="alt_m"><value>99</value></Data></ExtendedData>';
        $log = self::read(self::points(self::SAMPLES, 5.0, $data));

        self::assertSame([], $log->lacks);
        self::assertSame(91.5, $log->column('heading_deg')[7]);
        self::assertSame(-12.0, $log->column('gimbal_tilt_deg')[7]);
        self::assertSame('fast', $log->flightModes[7]);
        // Its place is the element's own, whatever else is written beside it.
        self::assertSame(5.0, $log->column('alt_m')[7]);
    }

    /** @return iterable<string, array{string}> */
    public static function broken(): iterable
    {
        yield 'a track with a time too many' => [str_replace(
            '</gx:Track>', '<when>2026-05-03T09:00:00Z</when></gx:Track>', self::track(self::SAMPLES, 1.0),
        )];
        yield 'too few samples' => [self::track(5, 1.0)];
        yield 'no track at all' => ['<Placemark><name>byre</name></Placemark>'];
        yield 'places that are none' => [str_replace('57.6', 'north', self::track(self::SAMPLES, 1.0))];
    }

    #[DataProvider('broken')]
    public function test_what_is_no_log_is_refused(string $body): void
    {
        $this->expectException(Refusal::class);
        self::read($body);
    }

    private static function read(string $body): FlightLog
    {
        $stream = fopen('php://memory', 'w+b');
        self::assertNotFalse($stream);
        fwrite(
            $stream, '<?xml version="1.0" encoding="UTF-8"?><kml xmlns="http://www.opengis.net/kml/2.2" '
            .'xmlns:gx="http://www.google.com/kml/ext/2.2"><Document>'.$body.'</Document></kml>',
        );
        rewind($stream);

        return (new KmlReader)->read($stream);
    }

    private static function when(int $tenths): string
    {
        return sprintf('2026-05-03T08:%02d:%04.1FZ', intdiv($tenths, 600), ($tenths % 600) / 10);
    }

    private static function track(int $samples, float $height, int $from = 0, string $more = ''): string
    {
        $whens = $coords = '';
        for ($i = 0; $i < $samples; $i++) {
            $whens .= '<when>'.self::when($from + $i).'</when>';
            $coords .= sprintf('<gx:coord>%.7F 57.6 %s</gx:coord>', -0.4 + 1e-6 * $i, $height);
        }

        return "<Placemark><gx:Track>$whens$coords$more</gx:Track></Placemark>";
    }

    private static function points(int $samples, float $height, string $more = ''): string
    {
        $marks = '';
        for ($i = 0; $i < $samples; $i++) {
            $marks .= '<Placemark><TimeStamp><when>'.self::when($i).'</when></TimeStamp>'.$more
                .sprintf('<Point><coordinates>%.7F,57.6,%s</coordinates></Point></Placemark>', -0.4 + 1e-6 * $i, $height);
        }

        return $marks;
    }

    /** @param  list<string>  $values */
    private static function array(string $name, array $values): string
    {
        return "<gx:SimpleArrayData name=\"$name\"><gx:value>".implode('</gx:value><gx:value>', $values).'</gx:value></gx:SimpleArrayData>';
    }
}
