<?php

declare(strict_types=1);

namespace Larkspur\Telemetry;

/** Writes the path as one GeoJSON feature (RFC 7946): a LineString, with the times in properties.coordTimes. */
final class GeoJsonWriter implements LogWriter
{
    public function write(FlightLog $log): iterable
    {
        yield '{"type":"FeatureCollection","features":[{"type":"Feature","properties":{"kind":"flight","height":"the log’s own datum","coordTimes":';
        yield json_encode(array_map(static fn (float $t): float => round($t, 3), $log->column('t')), JSON_THROW_ON_ERROR);
        yield '},"geometry":{"type":"LineString","coordinates":[';
        for ($i = 0, $n = $log->count(); $i < $n; $i++) {
            yield sprintf('%s[%.8F,%.8F,%.2F]', $i === 0 ? '' : ',', $log->column('lon')[$i], $log->column('lat')[$i], $log->column('alt_m')[$i]);
        }
        yield "]}}]}\n";
    }
}
