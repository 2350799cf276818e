<?php

declare(strict_types=1);

namespace Larkspur\Telemetry;

use Larkspur\Refusal;

/**
 * Reads Flight CSV (docs/formats.md; RFC 4180 with one record a line).
 *
 * Also taken: a byte-order mark, LF line ends, semicolon or tab as separator, a decimal comma with those, and the
 * unit-bearing column names of Quantity. A row that can't be read is left out and named by its line; the file is
 * refused where that is most of it, or where it is not such a file at all.
 */
final class FlightCsvReader implements LogReader
{
    private const LONGEST_LINE = 65536;

    /** More rows than eight hours at 50 Hz: no flight lasts that long. */
    public const MOST_ROWS = 1_500_000;

    private const FEWEST_ROWS = 30;

    /** Rows named one by one; further ones are counted. */
    private const NAMED_ROWS = 20;

    private const LARGEST_BAD_SHARE = 0.2;

    /** @var list<LogNote> */
    private array $notes = [];

    private int $badRows = 0;

    public function read(mixed $stream, ?callable $progress = null): FlightLog
    {
        $this->notes = [];
        $this->badRows = 0;
        $header = $this->firstLine($stream);
        $separator = self::separator($header);
        [$places, $factors, $modeAt, $width] = $this->columns(self::fields($header, $separator, 1), $header);

        $names = array_keys($places);
        $columns = array_fill_keys($names, []);
        $modes = [];
        $lines = [];
        $line = 1;
        $bytes = strlen($header);
        $decimalComma = $separator !== ',';
        while (($text = fgets($stream, self::LONGEST_LINE)) !== false) {
            $line++;
            $bytes += strlen($text);
            if ($progress !== null && $line % 20000 === 0) {
                $progress($bytes);
            }
            $text = rtrim($text, "\r\n");
            if ($text === '') {
                continue;
            }
            $row = $this->row($text, $separator, $width, $line);
            if ($row === null) {
                continue;
            }
            $values = [];
            foreach ($places as $name => $place) {
                $value = $this->number($row[$place], $decimalComma, $name, $factors[$name], $line);
                if ($value === null) {
                    continue 2;
                }
                $values[$name] = $value;
            }
            foreach ($values as $name => $value) {
                $columns[$name][] = $value;
            }
            if ($modeAt !== null) {
                $modes[] = trim($row[$modeAt]);
            }
            $lines[] = $line;
            if (count($lines) > self::MOST_ROWS) {
                throw new Refusal('This log has more rows than any flight day gives. Split it and import the parts.', 'line '.$line, 'at most '.number_format(self::MOST_ROWS).' rows');
            }
        }
        $this->checkShare(count($lines));
        $log = $this->inOrder($columns, $modes, $lines);
        $this->noteGaps($log);
        if ($this->badRows > self::NAMED_ROWS) {
            $this->notes[] = new LogNote(sprintf('%d more rows could not be read and were left out.', $this->badRows - self::NAMED_ROWS));
        }

        return new FlightLog($log->columns, $log->flightModes, $this->notes);
    }

    /** @param  resource  $stream */
    private function firstLine(mixed $stream): string
    {
        $line = fgets($stream, self::LONGEST_LINE);
        if ($line === false) {
            throw new Refusal('This file is empty.', 'line 1', 'a header line and rows of numbers');
        }
        if (str_starts_with($line, "\xFF\xFE") || str_starts_with($line, "\xFE\xFF")) {
            throw new Refusal('This file is written in UTF-16.', 'line 1', 'UTF-8 text; save it again as CSV in UTF-8');
        }
        $text = mb_check_encoding($line, 'UTF-8');
        // A picture may begin with a line of letters; what follows it tells.
        if (self::holdsControls($line) || ! $text && self::holdsControls((string) fread($stream, 4096))) {
            throw new Refusal('This is not a text file.', 'line 1', 'a Flight CSV log');
        }
        if (! $text) {
            throw new Refusal('This file is not written in UTF-8.', 'line 1', 'UTF-8 text; save it again as CSV in UTF-8');
        }
        if (strlen($line) >= self::LONGEST_LINE - 1) {
            throw new Refusal('The first line never ends.', 'line 1', 'a header line of column names');
        }

        return rtrim((string) preg_replace('/^\xEF\xBB\xBF/', '', $line), "\r\n");
    }

    private static function holdsControls(string $bytes): bool
    {
        return preg_match('/[\x00-\x08\x0E-\x1F]/', $bytes) === 1;
    }

    /** @return non-empty-string */
    private static function separator(string $header): string
    {
        $counts = [',' => substr_count($header, ','), ';' => substr_count($header, ';'), "\t" => substr_count($header, "\t")];
        arsort($counts);

        return array_key_first($counts);
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
            throw new Refusal('A quote is opened and not closed, or stands inside a field.', 'line '.$number);
        }

        return array_map(strval(...), str_getcsv($line, $separator, '"', ''));
    }

    /**
     * @param  list<string>  $headers
     * @return array{array<string, int>, array<string, float>, ?int, int} places by contract name, factors, place of the flight mode, number of fields
     */
    private function columns(array $headers, string $line): array
    {
        $places = $factors = $stated = [];
        $modeAt = null;
        $unknown = [];
        foreach ($headers as $place => $header) {
            if (strtolower(trim($header)) === 'flight_mode') {
                $modeAt = $place;

                continue;
            }
            $known = Quantity::of($header);
            if ($known === null) {
                $unknown[] = trim($header);

                continue;
            }
            [$name, $factor] = $known;
            if (isset($places[$name])) {
                throw new Refusal(sprintf('“%s” and “%s” state the same quantity.', $stated[$name], trim($header)), 'line 1', 'one column for each quantity');
            }
            $places[$name] = $place;
            $factors[$name] = $factor;
            $stated[$name] = trim($header);
            if ($factor !== 1.0) {
                $this->notes[] = new LogNote(sprintf('“%s” was converted to %s.', trim($header), $name), 1, trim($header));
            }
        }
        $missing = array_values(array_diff(FlightLog::REQUIRED, array_keys($places)));
        if ($missing !== []) {
            $found = mb_strimwidth(str_replace("\t", ' ', $line), 0, 120, '…');
            throw new Refusal(
                sprintf('There is no column %s. The header reads: %s.', Quantity::accepted($missing[0]), $found),
                'line 1, column '.$missing[0],
                'the columns '.implode(', ', FlightLog::REQUIRED),
            );
        }
        if ($unknown !== []) {
            $this->notes[] = new LogNote('Columns that were not used: '.implode(', ', $unknown).'.', 1);
        }

        return [$places, $factors, $modeAt, count($headers)];
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
            return $this->leaveOut($line, '', $refusal->getMessage());
        }
        if (count($row) !== $width) {
            return $this->leaveOut($line, '', sprintf('%d fields where the header has %d.', count($row), $width));
        }

        return $row;
    }

    private function number(string $cell, bool $decimalComma, string $name, float $factor, int $line): ?float
    {
        $required = in_array($name, FlightLog::REQUIRED, true);
        $cell = trim($cell);
        if (! is_numeric($cell)) {
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
                    ? sprintf('“%s” carries a unit of its own; write the number alone and put the unit in the column’s name.', $cell)
                    : ($cell === '' ? 'The cell is empty.' : sprintf('“%s” is not a number.', mb_strimwidth(mb_scrub($cell, 'UTF-8'), 0, 40, '…')));

                return $this->leaveOut($line, $name, $why);
            }
        }
        $value = (float) $cell * $factor;
        [$least, $most, $expected] = Quantity::RANGES[$name] ?? [-INF, INF, ''];
        if (! is_finite($value) || $value < $least || $value > $most) {
            return $required ? $this->leaveOut($line, $name, sprintf('%s is not %s.', $cell, $expected)) : NAN;
        }

        return $value;
    }

    private function leaveOut(int $line, string $column, string $why): null
    {
        $this->badRows++;
        if ($this->badRows <= self::NAMED_ROWS) {
            $this->notes[] = new LogNote('Left out: '.$why, $line, $column);
        }

        return null;
    }

    private function checkShare(int $good): void
    {
        $first = null;
        foreach ($this->notes as $note) {
            if (str_starts_with($note->text, 'Left out')) {
                $first = $note;
                break;
            }
        }
        $place = $first === null ? 'line 2' : 'line '.$first->line.($first->column === '' ? '' : ', column '.$first->column);
        if ($this->badRows > self::LARGEST_BAD_SHARE * ($good + $this->badRows)) {
            throw new Refusal(sprintf('%d of %d rows can’t be read. The first: %s', $this->badRows, $good + $this->badRows, substr($first->text ?? '', 10)), $place, 'numbers in every required column');
        }
        if ($good < self::FEWEST_ROWS) {
            throw new Refusal(sprintf('Only %d rows hold a sample.', $good), $place, 'at least '.self::FEWEST_ROWS.' samples');
        }
    }

    /**
     * @param  array<string, list<float>>  $columns
     * @param  list<string>  $modes
     * @param  list<int>  $lines
     */
    private function inOrder(array $columns, array $modes, array $lines): FlightLog
    {
        $t = $columns['t'];
        $n = count($t);
        $back = $repeated = [];
        for ($i = 1; $i < $n; $i++) {
            if ($t[$i] < $t[$i - 1]) {
                $back[] = $lines[$i];
            }
        }
        $order = range(0, $n - 1);
        if ($back !== []) {
            usort($order, static fn (int $a, int $b): int => [$t[$a], $a] <=> [$t[$b], $b]);
            $this->notes[] = new LogNote(sprintf('Time goes back %s; the rows were put in order.', count($back) === 1 ? 'once' : count($back).' times'), $back[0], 't');
        }
        $keep = [];
        $previous = null;
        foreach ($order as $i) {
            if ($previous !== null && $t[$i] - $previous <= 1e-4) {
                $repeated[] = $lines[$i];

                continue;
            }
            $previous = $t[$i];
            $keep[] = $i;
        }
        if ($repeated !== []) {
            $this->notes[] = new LogNote(sprintf('%d rows repeat a time; the first of each was kept.', count($repeated)), $repeated[0], 't');
        }
        if (count($keep) < self::FEWEST_ROWS) {
            throw new Refusal('Time stands still in this log.', 'line '.($repeated[0] ?? 2).', column t', 'a time that rises from row to row, in seconds');
        }
        if ($back === [] && $repeated === []) {
            return new FlightLog($columns, $modes);
        }
        foreach ($columns as $name => $values) {
            $columns[$name] = array_map(static fn (int $i): float => $values[$i], $keep);
        }

        return new FlightLog($columns, $modes === [] ? [] : array_map(static fn (int $i): string => $modes[$i], $keep));
    }

    private function noteGaps(FlightLog $log): void
    {
        $t = $log->column('t');
        $limit = max(0.6, 3 / max(1e-6, $log->rate()));
        $gaps = 0;
        $widest = 0.0;
        $at = 0.0;
        for ($i = 1, $n = count($t); $i < $n; $i++) {
            $gap = $t[$i] - $t[$i - 1];
            if ($gap > $limit) {
                $gaps++;
                if ($gap > $widest) {
                    [$widest, $at] = [$gap, $t[$i - 1]];
                }
            }
        }
        if ($gaps > 0) {
            $this->notes[] = new LogNote(sprintf('%s in the log, the longest %.1f s at %.1f s; nothing is judged inside a gap.', $gaps === 1 ? 'One gap' : $gaps.' gaps', $widest, $at));
        }
    }
}
