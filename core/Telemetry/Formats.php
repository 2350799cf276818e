<?php

declare(strict_types=1);

namespace Larkspur\Telemetry;

use Larkspur\Fact;
use Larkspur\Refusal;

/** The registry of log formats, by the ending of the file's name. */
final class Formats
{
    /** @param  ?ColumnMapping  $mapping  what the columns of a CSV are that is not our own */
    public static function reader(string $fileName, ?ColumnMapping $mapping = null): LogReader
    {
        return match (self::ending($fileName)) {
            'csv', 'txt', 'tsv' => new FlightCsvReader($mapping),
            'gpx' => new GpxReader,
            'kml' => new KmlReader,
            'geojson', 'json' => new GeoJsonReader,
            default => throw new Refusal(
                Fact::of('formats.not-name-flight-log', fileName: basename($fileName)), '', Fact::of('formats.log-ending-csv-gpx'),
            ),
        };
    }

    public static function writer(string $fileName): LogWriter
    {
        return match (self::ending($fileName)) {
            'csv' => new FlightCsvWriter,
            'gpx' => new GpxWriter,
            'kml' => new KmlWriter,
            'geojson', 'json' => new GeoJsonWriter,
            default => throw new Refusal(
                Fact::of('formats.log-cant-written', fileName: basename($fileName)), '', Fact::of('formats.name-ending-csv-gpx'),
            ),
        };
    }

    /** The registered media type of a log (IANA), for whoever is given the file again. */
    public static function mediaType(string $fileName): string
    {
        return match (self::ending($fileName)) {
            'csv' => 'text/csv; charset=utf-8',
            'tsv' => 'text/tab-separated-values; charset=utf-8',
            'gpx' => 'application/gpx+xml',
            'kml' => 'application/xml',
            'geojson', 'json' => 'application/geo+json',
            default => 'text/plain; charset=utf-8',
        };
    }

    /** Ending of a file's name, in small letters: what tells its format. */
    public static function ending(string $fileName): string
    {
        return strtolower(pathinfo($fileName, PATHINFO_EXTENSION));
    }
}
