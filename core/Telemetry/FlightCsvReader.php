<?php

declare(strict_types=1);

namespace Larkspur\Telemetry;

use Larkspur\Fact;
use Larkspur\Measure\Quantity;
use Larkspur\Refusal;

/**
 * Reads Flight CSV (docs/formats.md; RFC 4180 with one record a line), and any other CSV by a ColumnMapping.
 *
 * Also taken: a byte-order mark, LF line ends, semicolon or tab as separator, a decimal comma with those, lines before the header, and the
 * unit-bearing column names of Quantity. A file with columns of other names is told by ColumnsUnknown, which carries what
 * they probably are.
 */
final class FlightCsvReader implements LogReader
{
    private const LONGEST_LINE = 65536;

    /** Rows looked at to guess what columns are. */
    private const LOOKED_AT = 200;

    private SampleRows $rows;

    public function __construct(private readonly ?ColumnMapping $mapping = null)
    {
        $this->rows = new SampleRows([]);
    }

    public function read(mixed $stream, ?callable $progress = null): FlightLog
    {
        $lines = new CsvLines($stream, $this->firstLine($stream));
        $header = $lines->header();
        $separator = $lines->separator;
        $headers = self::fields($header, $separator, $lines->line);
        $decimalComma = $separator !== ',';
        $this->rows = new SampleRows([]);
        [$places, $scales, $modeAt] = $this->mapping === null
            ? $this->columns($headers, $header, $lines)
            : $this->mapped($this->mapping, $headers);
        $width = count($headers);
        $clock = $this->mapping?->clock();
        $timeAt = $places['t'];
        if ($clock !== null) {
            unset($places['t']);
        }
        $this->rows = new SampleRows(array_keys($places), $this->rows);
        $first = null;
        $epoch = null;
        $zoneless = false;

        if ($lines->before > 0) {
            $this->rows->note(new LogNote(Fact::of('flight-csv-reader.lines-before', before: $lines->before), $lines->line));
        }
        $bytes = strlen($header);
        while (($text = $lines->next()) !== null) {
            $line = $lines->line;
            $bytes += strlen($text) + 1;
            if ($progress !== null && $line % 20000 === 0) {
                $progress($bytes);
            }
            if ($text === '') {
                continue;
            }
            $row = $this->row($text, $separator, $width, $line);
            if ($row === null) {
                continue;
            }
            $values = [];
            if ($clock !== null) {
                $seconds = $clock->seconds(
                    $decimalComma && $clock !== Clock::TimeOfDay ? str_replace(',', '.', $row[$timeAt]) : $row[$timeAt],
                );
                if ($seconds === null) {
                    $this->rows->leaveOut(
                        $line, 't',
                        Fact::of(
                            'flight-csv-reader.not-time-clock', row: mb_strimwidth(mb_scrub(trim($row[$timeAt]), 'UTF-8'), 0, 40, '…'),
                        ),
                    );

                    continue;
                }
                if ($first === null) {
                    $first = $seconds;
                    $epoch = $clock->isEpoch($seconds) ? $seconds : null;
                    $zoneless = $clock === Clock::DateTime && ! Clock::namesZone($row[$timeAt]);
                }
                $values['t'] = $epoch === null && $clock !== Clock::TimeOfDay ? $seconds : round($seconds - $first, 4);
            }
            foreach ($places as $name => $place) {
                $value = $this->number($row[$place], $decimalComma, $name, $scales[$name], $line);
                if ($value === null) {
                    continue 2;
                }
                $values[$name] = $value;
            }
            $this->rows->add($values, $line, $modeAt === null ? null : trim($row[$modeAt]));
        }
        $lacks = $this->mapping === null ? [] : array_values(array_diff(['heading_deg', 'gimbal_tilt_deg'], array_keys($places)));

        return $this->rows->log($lacks, $epoch, $zoneless);
    }

    /** @param  resource  $stream */
    private function firstLine(mixed $stream): string
    {
        $line = fgets($stream, self::LONGEST_LINE);
        if ($line === false) {
            throw new Refusal(Fact::of('flight-csv-reader.file-empty'), 'line 1', Fact::of('flight-csv-reader.header-line-rows-numbers'));
        }
        if (str_starts_with($line, "\xFF\xFE") || str_starts_with($line, "\xFE\xFF")) {
            throw new Refusal(Fact::of('flight-csv-reader.file-written-utf-16'), 'line 1', Fact::of('flight-csv-reader.utf-8-text-save'));
        }
        $text = mb_check_encoding($line, 'UTF-8');
        // A picture may begin with a line of letters; what follows it tells.
        if (self::holdsControls($line) || ! $text && self::holdsControls((string) fread($stream, 4096))) {
            throw new Refusal(Fact::of('flight-csv-reader.not-text-file'), 'line 1', Fact::of('flight-csv-reader.flight-csv-log'));
        }
        if (! $text) {
            throw new Refusal(Fact::of('flight-csv-reader.file-not-written-utf'), 'line 1', Fact::of('flight-csv-reader.utf-8-text-save'));
        }
        if (strlen($line) >= self::LONGEST_LINE - 1) {
            throw new Refusal(
                Fact::of('flight-csv-reader.first-line-never-ends'), 'line 1', Fact::of('flight-csv-reader.header-line-column-names'),
            );
        }

        return rtrim((string) preg_replace('/^\xEF\xBB\xBF/', '', $line), "\r\n");
    }

    private static function holdsControls(string $bytes): bool
    {
        return preg_match('/[\x00-\x08\x0E-\x1F]/', $bytes) === 1;
    }

    /**
     * @param  non-empty-string  $separator
     * @return list<string>
     */
    private static function fields(string $line, string $separator, int $number): array
    {
        if (! str_contains($line, '"')) {
            return explode($separator, $line);
        }
        $quoted = preg_quote($separator, '/');
        if (preg_match('/^(?:"(?:[^"]|"")*"|[^"'.$quoted.']*)(?:'.$quoted.'(?:"(?:[^"]|"")*"|[^"'.$quoted.']*))*$/', $line) !== 1) {
            throw new Refusal(Fact::of('flight-csv-reader.quote-opened-not-closed'), sprintf('line %s', $number));
        }

        return array_map(strval(...), str_getcsv($line, $separator, '"', ''));
    }

    /**
     * @param  list<string>  $headers
     * @param  CsvLines  $lines  behind its header
     * @return array{array<string, int>, array<string, array{float, float}>, ?int} places by contract name, factor and offset, place of
     *     the flight mode
     */
    private function columns(array $headers, string $line, CsvLines $lines): array
    {
        $places = $scales = $stated = [];
        $modeAt = null;
        $unknown = [];
        foreach ($headers as $place => $header) {
            if (strtolower(trim($header)) === 'flight_mode') {
                $modeAt = $place;

                continue;
            }
            $known = LogQuantity::of($header);
            if ($known === null) {
                $unknown[] = trim($header);

                continue;
            }
            [$name, $factor] = $known;
            if (isset($places[$name])) {
                throw new Refusal(
                    Fact::of('flight-csv-reader.state-same-quantity', stated: $stated[$name], header: trim($header)), 'line 1',
                    Fact::of('flight-csv-reader.one-column-each-quantity'),
                );
            }
            $places[$name] = $place;
            $scales[$name] = [$factor, 0.0];
            $stated[$name] = trim($header);
            if ($factor !== 1.0) {
                $this->rows->note(new LogNote(
                    Fact::of('flight-csv-reader.was-converted', header: trim($header), name: $name), 1, trim($header),
                ));
            }
        }
        $missing = array_values(array_diff(FlightLog::REQUIRED, array_keys($places)));
        if ($missing !== []) {
            $found = mb_strimwidth(str_replace("\t", ' ', $line), 0, 120, '…');
            $told = [
                Fact::of('flight-csv-reader.column-header-reads', accepted: LogQuantity::accepted($missing[0]), found: $found),
                'line 1, column '.$missing[0], Fact::of('flight-csv-reader.the-columns', required: implode(', ', FlightLog::REQUIRED)),
            ];
            // Fewer columns than a flight needs: whatever they are called, this is no flight.
            if (count($headers) < count(ColumnMapping::NEEDED)) {
                throw new Refusal(...$told);
            }
            throw new ColumnsUnknown(...$told, headers: array_map(trim(...), $headers), guess: self::guess($headers, $lines));
        }
        if ($unknown !== []) {
            $this->rows->note(new LogNote(Fact::of('flight-csv-reader.columns-were-not-used', unknown: implode(', ', $unknown)), 1));
        }

        return [$places, $scales, $modeAt];
    }

    /**
     * What the columns of a file with other names probably are.
     *
     * @param  list<string>  $headers
     */
    private static function guess(array $headers, CsvLines $lines): ColumnGuess
    {
        $rows = [];
        foreach ($lines->peek(self::LOOKED_AT) as $text) {
            $cells = str_getcsv($text, $lines->separator, '"', '');
            if (count($cells) === count($headers)) {
                $rows[] = array_map(
                    static fn (?string $cell): string => $lines->separator === ',' ? (string) $cell : (string) preg_replace(
                        '/^(-?\d+),(\d+)$/', '$1.$2', (string) $cell,
                    ),
                    $cells,
                );
            }
        }

        return ColumnGuess::of($headers, $rows);
    }

    /**
     * @param  list<string>  $headers
     * @return array{array<string, int>, array<string, array{float, float}>, ?int}
     */
    private function mapped(ColumnMapping $mapping, array $headers): array
    {
        $at = [];
        foreach ($headers as $place => $header) {
            $at[mb_strtolower(trim($header))] ??= $place;
        }
        $places = $scales = [];
        $modeAt = null;
        foreach ($mapping->columns as $name => ['column' => $column, 'unit' => $unit]) {
            $place = $at[mb_strtolower(trim($column))] ?? throw new Refusal(
                Fact::of('flight-csv-reader.column-file', column: $column), 'line 1',
                Fact::of('flight-csv-reader.one-of', headers: mb_strimwidth(implode(', ', array_map(trim(...), $headers)), 0, 120, '…')),
            );
            if ($name === 'flight_mode') {
                $modeAt = $place;

                continue;
            }
            $places[$name] = $place;
            $scales[$name] = $mapping->scale($name);
            $this->rows->note(new LogNote(
                Fact::of(
                    'flight-csv-reader.was-read', column: $column, name: $name,
                    value: $unit === '' ? '' : Fact::of('flight-csv-reader.in', unit: $unit),
                ),
                1, $column,
            ));
        }

        return [$places, $scales, $modeAt];
    }

    /**
     * @param  non-empty-string  $separator
     * @return ?list<string>
     */
    private function row(string $text, string $separator, int $width, int $line): ?array
    {
        try {
            $row = self::fields($text, $separator, $line);
        } catch (Refusal $refusal) {
            return $this->rows->leaveOut($line, '', $refusal->fact);
        }
        if (count($row) !== $width) {
            return $this->rows->leaveOut($line, '', Fact::of('flight-csv-reader.fields-where-header', count: count($row), width: $width));
        }

        return $row;
    }

    /** @param  array{float, float}  $scale  factor and offset to the contract's unit */
    private function number(string $cell, bool $decimalComma, string $name, array $scale, int $line): ?float
    {
        // The common case first: of millions of cells nearly all are plain numbers.
        if (! is_numeric($cell)) {
            $required = in_array($name, FlightLog::REQUIRED, true);
            $cell = trim($cell);
            if ($decimalComma && is_numeric(str_replace(',', '.', $cell))) {
                $cell = str_replace(',', '.', $cell);
            } elseif (! $required) {
                return match (strtolower($cell)) {
                    'true', 'yes' => 1.0,
                    'false', 'no' => 0.0,
                    default => NAN,
                };
            } else {
                $why = preg_match('/^-?[\d.]+\s*[a-zµ°\/]+$/iu', $cell) === 1
                    ? Fact::of('flight-csv-reader.carries-unit-own-write', cell: $cell)
                    : ($cell === '' ? Fact::of('flight-csv-reader.cell-empty') : Fact::of(
                        'flight-csv-reader.not-number', cell: mb_strimwidth(mb_scrub($cell, 'UTF-8'), 0, 40, '…'),
                    ));

                return $this->rows->leaveOut($line, $name, $why);
            }
        }

        return $this->rows->inRange($name, (float) $cell * $scale[0] + $scale[1], $cell, $line);
    }
}
