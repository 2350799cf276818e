<?php

declare(strict_types=1);

namespace Larkspur\Telemetry;

/**
 * Writes the path as one GeoJSON feature (RFC 7946): a LineString, its times in properties.coordTimes, every other column
 * of the contract in properties.columns, one value a position.
 */
final class GeoJsonWriter implements LogWriter
{
    public function write(FlightLog $log): iterable
    {
        $epoch = $log->epoch;
        yield '{"type":"FeatureCollection","features":[{"type":"Feature","properties":{"kind":"flight","height":"the log’s own datum","coordTimes":';
        yield json_encode(
            array_map(
                static fn (float $t): float|string => $epoch === null ? round($t, 3) : Clock::written($epoch + $t), $log->column('t'),
            ),
            JSON_THROW_ON_ERROR,
        );
        yield ',"columns":{';
        $first = true;
        foreach ([...FlightLog::REQUIRED, ...FlightLog::OPTIONAL] as $name) {
            if (! in_array($name, ['t', 'lat', 'lon', 'alt_m', ...$log->lacks], true) && $log->has($name)) {
                yield ($first ? '' : ',').'"'.$name.'":'.json_encode(
                    array_map(static fn (float $value): ?float => is_nan($value) ? null : round($value, 8) + 0.0, $log->column($name)),
                    JSON_THROW_ON_ERROR,
                );
                $first = false;
            }
        }
        yield '}';
        if ($log->flightModes !== []) {
            yield ',"flight_mode":'.json_encode($log->flightModes, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE);
        }
        yield '},"geometry":{"type":"LineString","coordinates":[';
        for ($i = 0, $n = $log->count(); $i < $n; $i++) {
            yield sprintf(
                '%s[%.8F,%.8F,%.4F]', $i === 0 ? '' : ',', $log->column('lon')[$i], $log->column('lat')[$i], $log->column('alt_m')[$i],
            );
        }
        yield "]}}]}\n";
    }
}
