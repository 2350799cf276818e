<?php

declare(strict_types=1);

namespace Larkspur\Telemetry;

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
            default => throw new Refusal(sprintf('“%s” is not a name that a flight log has.', basename($fileName)), '', 'a log ending in .csv, .gpx, .kml or .geojson'),
        };
    }

    public static function writer(string $fileName): LogWriter
    {
        return match (self::ending($fileName)) {
            'csv' => new FlightCsvWriter,
            'gpx' => new GpxWriter,
            'kml' => new KmlWriter,
            'geojson', 'json' => new GeoJsonWriter,
            default => throw new Refusal(sprintf('A log can’t be written as “%s”.', basename($fileName)), '', 'a name ending in .csv, .gpx, .kml or .geojson'),
        };
    }

    private static function ending(string $fileName): string
    {
        return strtolower(pathinfo($fileName, PATHINFO_EXTENSION));
    }
}
