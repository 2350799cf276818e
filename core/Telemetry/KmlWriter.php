<?php

declare(strict_types=1);

namespace Larkspur\Telemetry;

/** Writes KML 2.2: one gx:Track, heights absolute; all other columns as arrays of extended data under the contract's names. */
final class KmlWriter implements LogWriter
{
    public function write(FlightLog $log): iterable
    {
        $names = array_values(array_filter(
            array_diff([...FlightLog::REQUIRED, ...FlightLog::OPTIONAL], ['t', 'lat', 'lon', 'alt_m'], $log->lacks), $log->has(...),
        ));
        yield '<?xml version="1.0" encoding="UTF-8"?>'."\n"
            .'<kml xmlns="http://www.opengis.net/kml/2.2" xmlns:gx="http://www.google.com/kml/ext/2.2"><Document>'."\n".'<Schema id="flight">';
        foreach ([...$names, ...$log->flightModes === [] ? [] : ['flight_mode']] as $name) {
            yield sprintf('<gx:SimpleArrayField name="%s" type="%s"/>', $name, $name === 'flight_mode' ? 'string' : 'float');
        }
        yield "</Schema>\n<Placemark><name>flight</name><gx:Track><altitudeMode>absolute</altitudeMode>\n";
        $epoch = $log->epoch ?? 0.0;
        foreach ($log->column('t') as $t) {
            yield '<when>'.Clock::written($epoch + $t)."</when>\n";
        }
        foreach ($log->column('lon') as $i => $longitude) {
            yield sprintf("<gx:coord>%.8F %.8F %.4F</gx:coord>\n", $longitude, $log->column('lat')[$i], $log->column('alt_m')[$i]);
        }
        yield '<ExtendedData><SchemaData schemaUrl="#flight">'."\n";
        foreach ($names as $name) {
            yield '<gx:SimpleArrayData name="'.$name.'">';
            foreach ($log->column($name) as $value) {
                yield '<gx:value>'.(is_nan($value) ? '' : GpxWriter::figure($value, $name)).'</gx:value>';
            }
            yield "</gx:SimpleArrayData>\n";
        }
        if ($log->flightModes !== []) {
            yield '<gx:SimpleArrayData name="flight_mode">';
            foreach ($log->flightModes as $mode) {
                yield '<gx:value>'.htmlspecialchars($mode, ENT_XML1 | ENT_QUOTES, 'UTF-8').'</gx:value>';
            }
            yield "</gx:SimpleArrayData>\n";
        }
        yield "</SchemaData></ExtendedData></gx:Track></Placemark></Document></kml>\n";
    }
}
