<?php

declare(strict_types=1);

namespace Larkspur\Telemetry;

use Larkspur\Fact;
use Larkspur\Refusal;
use Larkspur\Xml\XmlEvents;
use Larkspur\Xml\XmlListener;

/**
 * Reads the track points of a GPX 1.1 file (1.0 with a note): place, height and time, and any column of the Flight CSV
 * contract that stands among a point's extensions under its own name. Tracks and segments are read as one log.
 */
final class GpxReader implements LogReader, XmlListener
{
    private const NAMESPACE = 'http://www.topografix.com/GPX/1/1';

    /** @var array<string, string> what an element of a point says, by its name; empty where nothing known */
    private array $quantities = ['ele' => 'alt_m', 'time' => 't', 'speed' => 'speed_mps'];

    private DatedRows $dated;

    private bool $began = false;

    /** @var ?array<string, string> the point that is open, as written */
    private ?array $point = null;

    public function read(mixed $stream, ?callable $progress = null): FlightLog
    {
        $this->dated = new DatedRows;
        $this->began = false;
        $this->point = null;
        XmlEvents::read($stream, $this, $progress);
        if ($this->dated->isEmpty()) {
            throw new Refusal(Fact::of('gpx-reader.track-point-place-time'), 'trk', Fact::of('gpx-reader.track-trkpt-time'));
        }

        return $this->dated->log();
    }

    public function opens(string $name, array $attributes, int $line): void
    {
        if (! $this->began) {
            $this->began = true;
            $this->checkRoot($name, $attributes, $line);
        }
        if ($this->point === null && XmlEvents::local($name) === 'trkpt') {
            $this->point = array_intersect_key($attributes, ['lat' => '', 'lon' => '']);
        }
    }

    public function closes(string $name, string $text, int $line): void
    {
        if ($this->point === null) {
            return;
        }
        $local = XmlEvents::local($name);
        if ($local === 'trkpt') {
            $values = $this->values($this->point, $line);
            if ($values !== null) {
                $this->dated->add($values, $line, $this->point['flight_mode'] ?? '');
            }
            $this->point = null;

            return;
        }
        // A speed is of GPX 1.0 and of common extensions; a course is where it went, not where it looked.
        $column = $this->quantities[$local] ??= FlightLog::columnNamed($local) ?? '';
        if ($column !== '') {
            $this->point[$column] = $text;
        }
    }

    /** @param  array<string, string>  $attributes */
    private function checkRoot(string $name, array $attributes, int $line): void
    {
        if (XmlEvents::local($name) !== 'gpx') {
            throw new Refusal(
                Fact::of('gpx-reader.file-begins', local: XmlEvents::local($name)), sprintf('line %s', $line),
                Fact::of('gpx-reader.gpx-file'),
            );
        }
        if (($attributes['version'] ?? '') !== '1.1' || ! str_starts_with($name, self::NAMESPACE)) {
            $this->dated->rows->note(new LogNote(
                Fact::of('gpx-reader.says-gpx-was-read', version: $attributes['version'] ?? Fact::of('gpx-reader.of-no-version')), $line,
            ));
        }
        if (($attributes['creator'] ?? '') === '') {
            $this->dated->rows->note(new LogNote(Fact::of('gpx-reader.does-not-say-which'), $line));
        }
    }

    /**
     * @param  array<string, string>  $point
     * @return ?array<string, float>
     */
    private function values(array $point, int $line): ?array
    {
        $rows = $this->dated->rows;
        foreach (['lat', 'lon'] as $name) {
            if (! is_numeric($point[$name] ?? null)) {
                return $rows->leaveOut(
                    $line, $name,
                    isset($point[$name])
                        ? Fact::of('gpx-reader.not-number', point: mb_strimwidth($point[$name], 0, 40, '…'))
                        : Fact::of('gpx-reader.the-point-has-no', name: $name),
                );
            }
        }
        $time = Clock::dateTime($point['t'] ?? '');
        if ($time === null) {
            return $rows->leaveOut(
                $line, 't',
                isset($point['t'])
                    ? Fact::of('gpx-reader.not-date-time-xml', t: mb_strimwidth($point['t'], 0, 40, '…'))
                    : Fact::of('gpx-reader.point-time'),
            );
        }
        $values = ['t' => $time, 'alt_m' => is_numeric($point['alt_m'] ?? null) ? (float) $point['alt_m'] : 0.0];
        foreach (array_diff_key($point, ['t' => '', 'alt_m' => '', 'flight_mode' => '']) as $name => $text) {
            $value = $rows->inRange($name, is_numeric($text) ? (float) $text : NAN, $text, $line);
            if ($value === null) {
                return null;
            }
            // The antimeridian has two names; GPX knows one.
            $values[$name] = $name === 'lon' && $value === 180.0 ? -180.0 : $value;
        }

        return $values;
    }
}
