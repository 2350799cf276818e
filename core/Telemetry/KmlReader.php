<?php

declare(strict_types=1);

namespace Larkspur\Telemetry;

use Larkspur\Fact;
use Larkspur\Refusal;
use Larkspur\Xml\XmlEvents;
use Larkspur\Xml\XmlListener;

/**
 * Reads the gx:Track elements of a KML 2.2 file: when and where, and any column of the Flight CSV contract that stands in
 * a gx:SimpleArrayData of its name. gx:angles is a model's attitude and not a lens's, so it is not read as one.
 */
final class KmlReader implements LogReader, XmlListener
{
    private const EXTENSION = 'http://www.google.com/kml/ext/2.2';

    private DatedRows $dated;

    private bool $began = false;

    private bool $inTrack = false;

    /** @var list<string> */
    private array $whens = [];

    /** @var list<array{string, int}> places as written, and their lines */
    private array $coords = [];

    /** @var array<string, list<string>> */
    private array $arrays = [];

    /** The column whose values are being read. */
    private ?string $array = null;

    /** @var ?array{when: string, place: string, lines: int, data: array<string, string>} the placemark that is being read */
    private ?array $mark = null;

    /** @var list<array{when: string, place: string, line: int, data: array<string, string>}> dated points outside of any track */
    private array $points = [];

    /** The quantity whose value is being read of a placemark. */
    private ?string $datum = null;

    public function read(mixed $stream, ?callable $progress = null): FlightLog
    {
        $this->dated = new DatedRows;
        $this->began = $this->inTrack = false;
        $this->whens = $this->coords = $this->arrays = [];
        $this->array = $this->mark = $this->datum = null;
        $this->points = [];
        XmlEvents::read($stream, $this, $progress);
        // Converters write a flight as dated points as often as in a track; a track says the same more closely.
        if ($this->dated->isEmpty()) {
            $this->takePoints();
        }
        if ($this->dated->isEmpty()) {
            throw new Refusal(Fact::of('kml-reader.track-times-file'), 'gx:Track', Fact::of('kml-reader.gx-track-when-gx'));
        }

        return $this->dated->log();
    }

    public function opens(string $name, array $attributes, int $line): void
    {
        if (! $this->began) {
            $this->began = true;
            if (XmlEvents::local($name) !== 'kml') {
                throw new Refusal(
                    Fact::of('kml-reader.file-begins', local: XmlEvents::local($name)), sprintf('line %s', $line),
                    Fact::of('kml-reader.kml-file'),
                );
            }
        }
        $local = XmlEvents::local($name);
        if ($local === 'Placemark') {
            $this->mark = ['when' => '', 'place' => '', 'lines' => 0, 'data' => []];
        } elseif ($this->mark !== null && ($local === 'Data' || $local === 'SimpleData')) {
            $known = $attributes['name'] ?? '';
            $this->datum = in_array($known, ['flight_mode', ...FlightLog::REQUIRED, ...FlightLog::OPTIONAL], true) ? $known : null;
        }
        if ($name === self::EXTENSION.' Track') {
            $this->inTrack = true;
        } elseif ($this->inTrack && $name === self::EXTENSION.' SimpleArrayData') {
            $known = $attributes['name'] ?? '';
            $this->array = in_array($known, ['flight_mode', ...FlightLog::REQUIRED, ...FlightLog::OPTIONAL], true) ? $known : null;
        }
    }

    public function closes(string $name, string $text, int $line): void
    {
        if (! $this->inTrack) {
            $this->closesInMark(XmlEvents::local($name), $text, $line);

            return;
        }
        if ($name === self::EXTENSION.' Track') {
            $this->finishTrack($line);
            $this->inTrack = false;
        } elseif ($name === self::EXTENSION.' coord') {
            $this->coords[] = [$text, $line];
        } elseif ($name === self::EXTENSION.' value' && $this->array !== null) {
            $this->arrays[$this->array][] = $text;
        } elseif ($name === self::EXTENSION.' SimpleArrayData') {
            $this->array = null;
        } elseif (XmlEvents::local($name) === 'when') {
            $this->whens[] = $text;
        }
    }

    private function closesInMark(string $local, string $text, int $line): void
    {
        if ($this->mark === null) {
            return;
        }
        if ($local === 'Placemark') {
            if ($this->mark['when'] !== '' && $this->mark['lines'] === 1) {
                $this->points[] = [
                    'when' => $this->mark['when'], 'place' => $this->mark['place'], 'line' => $line, 'data' => $this->mark['data'],
                ];
            }
            $this->mark = null;
        } elseif ($local === 'when' || $local === 'begin') {
            $this->mark['when'] = $text;
        } elseif ($local === 'coordinates') {
            // A line or an area has many places and no time for each: only a point is a sample.
            $this->mark['lines'] += 1 + (int) preg_match_all('/\s+/', trim($text));
            $this->mark['place'] = str_replace(',', ' ', trim($text));
        } elseif (($local === 'value' || $local === 'SimpleData') && $this->datum !== null) {
            $this->mark['data'][$this->datum] = $text;
        }
        if ($local === 'Data' || $local === 'SimpleData') {
            $this->datum = null;
        }
    }

    /** Dated points, in the order of their times. */
    private function takePoints(): void
    {
        foreach ($this->points as ['when' => $when, 'place' => $place, 'line' => $line, 'data' => $data]) {
            $values = $this->values($place, $when, $line);
            if ($values === null) {
                continue;
            }
            foreach (array_diff_key($data, ['flight_mode' => '', 't' => '', 'lat' => '', 'lon' => '', 'alt_m' => '']) as $name => $cell) {
                $values[$name] = is_numeric($cell) ? ($this->dated->rows->inRange($name, (float) $cell, $cell, $line) ?? NAN) : NAN;
            }
            $this->dated->add($values, $line, $data['flight_mode'] ?? '');
        }
        $this->points = [];
    }

    private function finishTrack(int $line): void
    {
        if (count($this->whens) !== count($this->coords)) {
            throw new Refusal(
                Fact::of('kml-reader.track-times-places', times: count($this->whens), places: count($this->coords)),
                sprintf('line %s', $line), Fact::of('kml-reader.one-when-each-gx'),
            );
        }
        foreach ($this->coords as $i => [$text, $at]) {
            $values = $this->values($text, $this->whens[$i], $at);
            if ($values === null) {
                continue;
            }
            foreach ($this->arrays as $name => $column) {
                if ($name !== 'flight_mode') {
                    $cell = $column[$i] ?? '';
                    $values[$name] = is_numeric($cell) ? ($this->dated->rows->inRange($name, (float) $cell, $cell, $at) ?? NAN) : NAN;
                }
            }
            $this->dated->add($values, $at, $this->arrays['flight_mode'][$i] ?? '');
        }
        $this->whens = $this->coords = $this->arrays = [];
    }

    /** @return ?array<string, float> */
    private function values(string $coord, string $when, int $line): ?array
    {
        $rows = $this->dated->rows;
        if ($coord === '') {
            return $rows->leaveOut($line, 'lat', Fact::of('kml-reader.place-missing'));
        }
        $parts = explode(' ', (string) preg_replace('/\s+/', ' ', $coord));
        if (count($parts) < 2 || count($parts) > 3 || array_filter($parts, static fn (string $part): bool => ! is_numeric($part)) !== []) {
            return $rows->leaveOut(
                $line, 'lat', Fact::of('kml-reader.not-longitude-latitude-height', coord: mb_strimwidth($coord, 0, 40, '…')),
            );
        }
        $time = Clock::dateTime($when);
        if ($time === null) {
            return $rows->leaveOut($line, 't', Fact::of('kml-reader.not-date-time-xml', when: mb_strimwidth($when, 0, 40, '…')));
        }
        $values = ['t' => $time];
        foreach (['lon' => 0, 'lat' => 1, 'alt_m' => 2] as $name => $place) {
            $value = $rows->inRange($name, (float) ($parts[$place] ?? 0.0), $parts[$place] ?? '0', $line);
            if ($value === null) {
                return null;
            }
            $values[$name] = $value;
        }

        return $values;
    }
}
