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

    /** What stands in tracks. */
    private DatedRows $tracks;

    /** Dated points outside of any track: converters write a flight so as often. A track says the same more closely. */
    private DatedRows $points;

    private bool $began = false;

    private bool $inTrack = false;

    /** @var list<string> of the track that is open, as written */
    private array $whens = [];

    /** @var list<string> places as written */
    private array $coords = [];

    /** @var list<int> the lines of the file that they stand on */
    private array $lines = [];

    /** @var array<string, list<float>> */
    private array $arrays = [];

    /** @var list<string> */
    private array $modes = [];

    /** The column whose values are being read, of a track or a placemark. */
    private ?string $column = null;

    /** @var ?array{when: string, place: string, places: int, mode: string, data: array<string, float>} the placemark that is open */
    private ?array $mark = null;

    public function read(mixed $stream, ?callable $progress = null): FlightLog
    {
        $this->tracks = new DatedRows;
        $this->points = new DatedRows;
        $this->began = $this->inTrack = false;
        $this->whens = $this->coords = $this->lines = $this->arrays = $this->modes = [];
        $this->column = $this->mark = null;
        XmlEvents::read($stream, $this, $progress);
        $dated = $this->tracks->isEmpty() ? $this->points : $this->tracks;
        if ($dated->isEmpty()) {
            throw new Refusal(Fact::of('kml-reader.track-times-file'), 'gx:Track', Fact::of('kml-reader.gx-track-when-gx'));
        }

        return $dated->log();
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
            $this->mark = ['when' => '', 'place' => '', 'places' => 0, 'mode' => '', 'data' => []];
        } elseif ($name === self::EXTENSION.' Track') {
            $this->inTrack = true;
        } elseif ($name === self::EXTENSION.' SimpleArrayData' || $local === 'Data' || $local === 'SimpleData') {
            $this->column = self::columnOf($attributes['name'] ?? '');
        }
    }

    /** The column that a value of this name stands for, beside those of the contract as GPX calls them. */
    private static function columnOf(string $name): ?string
    {
        return match ($name) {
            'ele' => 'alt_m',
            'time', 'timestamp' => 't',
            default => FlightLog::columnNamed($name),
        };
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
            $this->coords[] = $text;
            $this->lines[] = $line;
        } elseif ($name === self::EXTENSION.' value' && $this->column === 'flight_mode') {
            $this->modes[] = $text;
        } elseif ($name === self::EXTENSION.' value' && $this->column !== null) {
            $this->arrays[$this->column][] = is_numeric($text) ? (float) $text : NAN;
        } elseif ($name === self::EXTENSION.' SimpleArrayData') {
            $this->column = null;
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
            // A line or an area has many places and no time for each: only a point is a sample.
            if ($this->mark['when'] !== '' && $this->mark['places'] === 1) {
                self::take($this->points, $this->mark['place'], $this->mark['when'], $this->mark['data'], $this->mark['mode'], $line);
            }
            $this->mark = null;
        } elseif ($local === 'when' || $local === 'begin') {
            $this->mark['when'] = $text;
        } elseif ($local === 'coordinates') {
            $this->mark['places'] += 1 + (int) preg_match_all('/\s+/', $text);
            $this->mark['place'] = str_replace(',', ' ', $text);
        } elseif ($local === 'value' || $local === 'SimpleData') {
            if ($this->column === 'flight_mode') {
                $this->mark['mode'] = $text;
            } elseif ($this->column === 't') {
                // A stamp of the placemark itself says it more closely than a value beside it.
                $this->mark['when'] = $this->mark['when'] === '' ? $text : $this->mark['when'];
            } elseif ($this->column !== null) {
                $this->mark['data'][$this->column] = is_numeric($text) ? (float) $text : NAN;
            }
        }
        if ($local === 'Data' || $local === 'SimpleData') {
            $this->column = null;
        }
    }

    private function finishTrack(int $line): void
    {
        if (count($this->whens) !== count($this->coords)) {
            throw new Refusal(
                Fact::of('kml-reader.track-times-places', times: count($this->whens), places: count($this->coords)),
                sprintf('line %s', $line), Fact::of('kml-reader.one-when-each-gx'),
            );
        }
        foreach ($this->coords as $i => $text) {
            $data = [];
            foreach ($this->arrays as $name => $column) {
                $data[$name] = $column[$i] ?? NAN;
            }
            self::take($this->tracks, $text, $this->whens[$i], $data, $this->modes[$i] ?? '', $this->lines[$i]);
        }
        $this->whens = $this->coords = $this->lines = $this->arrays = $this->modes = [];
    }

    /** @param  array<string, float>  $data  of the other columns of the contract; NAN where nothing is written */
    private static function take(DatedRows $into, string $place, string $when, array $data, string $mode, int $line): void
    {
        $values = self::values($into->rows, $place, $when, $line);
        if ($values === null) {
            return;
        }
        // A converter that writes points of a plane keeps the height beside them.
        if ($values['alt_m'] === 0.0 && isset($data['alt_m'])) {
            $values['alt_m'] = $data['alt_m'];
        }
        foreach ($data as $name => $value) {
            // Time and place are the element's own.
            $values[$name] ??= is_nan($value) ? NAN : ($into->rows->inRange($name, $value, (string) $value, $line) ?? NAN);
        }
        $into->add($values, $line, $mode);
    }

    /** @return ?array<string, float> */
    private static function values(SampleRows $rows, string $coord, string $when, int $line): ?array
    {
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
