<?php

declare(strict_types=1);

namespace Larkspur\TakeAlong;

use Larkspur\Choreography\Plan;
use Larkspur\Geo\Position;

/**
 * A planned path and its site as KML 2.2: what stands there raised from the ground, the path as a line, and the camera's way as a gx:Tour
 * that an earth viewer flies. A tour's tilt counts from straight down: 90 degrees plus the tilt of the lens. Heights are absolute, in the
 * site's datum.
 */
final class ShotKml
{
    /** Seconds between the cameras of the tour. */
    private const STEP = 0.5;

    public static function of(Plan $plan, string $title): string
    {
        $xml = new \XMLWriter;
        $xml->openMemory();
        $xml->setIndent(true);
        $xml->setIndentString(' ');
        $xml->startDocument('1.0', 'UTF-8');
        $xml->startElement('kml');
        $xml->writeAttribute('xmlns', 'http://www.opengis.net/kml/2.2');
        $xml->writeAttribute('xmlns:gx', 'http://www.google.com/kml/ext/2.2');
        $xml->startElement('Document');
        $xml->writeElement('name', $title);
        self::tour($xml, $plan, $title);
        self::line($xml, $plan, $title);
        self::site($xml, $plan);
        $xml->endElement();
        $xml->endElement();
        $xml->endDocument();

        return $xml->outputMemory();
    }

    private static function tour(\XMLWriter $xml, Plan $plan, string $title): void
    {
        $flight = $plan->move->flight;
        $frame = $plan->shot->site->frame();
        $xml->startElement('gx:Tour');
        $xml->writeElement('name', $title);
        $xml->startElement('gx:Playlist');
        $before = null;
        $last = $flight->duration();
        for ($t = 0.0; $t < $last + self::STEP; $t += self::STEP) {
            $time = min($t, $last);
            $index = $flight->indexAt($time);
            $point = $frame->geoPoint($flight->position($index));
            $xml->startElement('gx:FlyTo');
            $xml->writeElement('gx:duration', sprintf('%.3F', $before === null ? 0.0 : $time - $before));
            $xml->writeElement('gx:flyToMode', $before === null ? 'bounce' : 'smooth');
            $xml->startElement('Camera');
            $xml->writeElement('longitude', sprintf('%.8F', $point->longitude));
            $xml->writeElement('latitude', sprintf('%.8F', $point->latitude));
            $xml->writeElement('altitude', sprintf('%.3F', $point->altitude));
            $xml->writeElement('heading', sprintf('%.3F', fmod(rad2deg($flight->heading[$index]) + 3600, 360)));
            $xml->writeElement('tilt', sprintf('%.3F', max(0.0, min(180.0, 90 + rad2deg($flight->tilt[$index])))));
            $xml->writeElement('roll', '0');
            $xml->writeElement('altitudeMode', 'absolute');
            $xml->endElement();
            $xml->endElement();
            $before = $time;
            if ($time >= $last) {
                break;
            }
        }
        $xml->endElement();
        $xml->endElement();
    }

    private static function line(\XMLWriter $xml, Plan $plan, string $title): void
    {
        $flight = $plan->move->flight->thinned(10);
        $xml->startElement('Placemark');
        $xml->writeElement('name', $title);
        self::data($xml, ['kind' => 'path']);
        $xml->startElement('LineString');
        $xml->writeElement('altitudeMode', 'absolute');
        $xml->writeElement('coordinates', self::tuples($plan, array_map($flight->position(...), range(0, $flight->count() - 1))));
        $xml->endElement();
        $xml->endElement();
    }

    /** What stands on the site and lies about it: the same features as the GeoJSON, written as placemarks. */
    private static function site(\XMLWriter $xml, Plan $plan): void
    {
        foreach (ShotGeoJson::features($plan->shot->site) as ['type' => $type, 'places' => $places, 'properties' => $properties]) {
            $xml->startElement('Placemark');
            $xml->writeElement('name', $properties['name']);
            self::data($xml, array_diff_key($properties, ['name' => 1]));
            $xml->startElement($type);
            if ($type === 'Polygon') {
                $xml->startElement('outerBoundaryIs');
                $xml->startElement('LinearRing');
            }
            $xml->writeElement('coordinates', self::tuples($plan, $places));
            if ($type === 'Polygon') {
                $xml->endElement();
                $xml->endElement();
            }
            $xml->endElement();
            $xml->endElement();
        }
    }

    /** @param  array<string, mixed>  $properties */
    private static function data(\XMLWriter $xml, array $properties): void
    {
        $xml->startElement('ExtendedData');
        foreach ($properties as $name => $value) {
            $xml->startElement('Data');
            $xml->writeAttribute('name', $name);
            $xml->writeElement(
                'value', is_scalar($value) ? (string) $value : json_encode($value, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE),
            );
            $xml->endElement();
        }
        $xml->endElement();
    }

    /** @param  list<Position>  $places */
    private static function tuples(Plan $plan, array $places): string
    {
        $frame = $plan->shot->site->frame();

        return implode(' ', array_map(static function (Position $place) use ($frame): string {
            $point = $frame->geoPoint($place);

            return sprintf('%.8F,%.8F,%.3F', $point->longitude, $point->latitude, $point->altitude);
        }, $places));
    }
}
