<?php

declare(strict_types=1);

namespace Larkspur\Telemetry;

/**
 * Writes GPX 1.1: one track; what GPX itself has no place for stands in each point's extensions under the contract's names.
 * Heights are written as they are: GPX means metres above mean sea level, the log its own datum, which is said.
 */
final class GpxWriter implements LogWriter
{
    private const OWN = 'urn:larkspur:flight:1';

    public function write(FlightLog $log): iterable
    {
        yield '<?xml version="1.0" encoding="UTF-8"?>'."\n"
            .'<gpx version="1.1" creator="Larkspur" xmlns="http://www.topografix.com/GPX/1/1" xmlns:f="'.self::OWN.'">'."\n"
            .'<metadata><desc>Heights are in the datum of the flight log.</desc></metadata>'."\n<trk><name>flight</name><trkseg>\n";
        $names = array_values(array_filter(
            array_diff([...FlightLog::REQUIRED, ...FlightLog::OPTIONAL], ['t', 'lat', 'lon', 'alt_m'], $log->lacks), $log->has(...),
        ));
        $epoch = $log->epoch ?? 0.0;
        foreach ($log->column('t') as $i => $t) {
            $more = '';
            foreach ($names as $name) {
                $value = $log->columns[$name][$i];
                $more .= is_nan($value) ? '' : sprintf('<f:%s>%s</f:%s>', $name, self::figure($value, $name), $name);
            }
            $mode = $log->flightModes[$i] ?? '';
            $more .= $mode === '' ? '' : '<f:flight_mode>'.htmlspecialchars($mode, ENT_XML1 | ENT_QUOTES, 'UTF-8').'</f:flight_mode>';
            $longitude = $log->column('lon')[$i];
            yield sprintf(
                '<trkpt lat="%.8F" lon="%.8F"><ele>%.4F</ele><time>%s</time>%s</trkpt>'."\n",
                $log->column('lat')[$i], $longitude >= 180 ? $longitude - 360 : $longitude, $log->column('alt_m')[$i],
                Clock::written($epoch + $t),
                $more === '' ? '' : '<extensions>'.$more.'</extensions>',
            );
        }
        yield "</trkseg></trk></gpx>\n";
    }

    /** A number without needless digits: eight decimals of degrees on the map, four elsewhere. */
    public static function figure(float $value, string $name): string
    {
        $text = number_format($value, in_array($name, ['subject_lat', 'subject_lon'], true) ? 8 : 4, '.', '');

        return rtrim(rtrim($text, '0'), '.');
    }
}
