<?php

declare(strict_types=1);

namespace Larkspur\Telemetry;

use Larkspur\Refusal;

/** The registry of log formats, by the ending of the file's name. */
final class Formats
{
    public static function reader(string $fileName): LogReader
    {
        return match (self::ending($fileName)) {
            'csv', 'txt', 'tsv' => new FlightCsvReader,
            default => throw new Refusal(sprintf('“%s” is not a name that a flight log has.', basename($fileName)), '', 'a Flight CSV log, ending in .csv'),
        };
    }

    public static function writer(string $fileName): LogWriter
    {
        return match (self::ending($fileName)) {
            'csv' => new FlightCsvWriter,
            'geojson', 'json' => new GeoJsonWriter,
            default => throw new Refusal(sprintf('A log can’t be written as “%s”.', basename($fileName)), '', 'a name ending in .csv or .geojson'),
        };
    }

    private static function ending(string $fileName): string
    {
        return strtolower(pathinfo($fileName, PATHINFO_EXTENSION));
    }
}
