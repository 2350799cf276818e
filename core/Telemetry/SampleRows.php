<?php

declare(strict_types=1);

namespace Larkspur\Telemetry;

use Larkspur\Refusal;

/**
 * The samples of a log as its reader meets them, whatever the format: rows that can't be read are left out and named, rows
 * are put in order of time, repeats dropped, gaps noted. Refuses what is mostly unreadable, endless or no flight at all.
 */
final class SampleRows
{
    /** More rows than eight hours at 50 Hz: no flight lasts that long. */
    public const MOST = 1_500_000;

    private const FEWEST = 30;

    /** Rows named one by one; further ones are counted. */
    private const NAMED = 20;

    private const LARGEST_BAD_SHARE = 0.2;

    /** @var array<string, list<float>> */
    private array $columns = [];

    /** @var list<string> */
    private array $modes = [];

    /** @var list<int> */
    private array $lines = [];

    /** @var list<LogNote> */
    private array $notes = [];

    private int $count = 0;

    private int $badRows = 0;

    /**
     * @param  list<string>  $names  columns that every row has; others may come and go
     * @param  ?self  $before  whose notes are carried on
     */
    public function __construct(array $names, ?self $before = null)
    {
        $this->columns = array_fill_keys($names, []);
        $this->notes = $before->notes ?? [];
    }

    /**
     * @param  array<string, float>  $values  by contract name
     * @param  int  $line  of the file, for what has to be said about the row
     */
    public function add(array $values, int $line, ?string $mode = null): void
    {
        foreach ($values as $name => $value) {
            if (! isset($this->columns[$name])) {
                $this->columns[$name] = array_fill(0, $this->count, NAN);
            }
            $this->columns[$name][] = $value;
        }
        if (count($values) < count($this->columns)) {
            foreach (array_diff_key($this->columns, $values) as $name => $_) {
                $this->columns[$name][] = NAN;
            }
        }
        if ($mode !== null) {
            $this->modes[] = $mode;
        }
        $this->lines[] = $line;
        if (++$this->count > self::MOST) {
            throw new Refusal('This log has more rows than any flight day gives. Split it and import the parts.', 'line '.$line, 'at most '.number_format(self::MOST).' rows');
        }
    }

    public function note(LogNote $note): void
    {
        $this->notes[] = $note;
    }

    /** A value of a row, within the range of its quantity; says why and leaves the row out where a required one is not. */
    public function inRange(string $name, float $value, string $written, int $line): ?float
    {
        [$least, $most, $expected] = Quantity::RANGES[$name] ?? [-INF, INF, ''];
        if (is_finite($value) && $value >= $least && $value <= $most) {
            return $value;
        }

        return in_array($name, FlightLog::REQUIRED, true) ? $this->leaveOut($line, $name, sprintf('%s is not %s.', $written, $expected)) : NAN;
    }

    public function leaveOut(int $line, string $column, string $why): null
    {
        $this->badRows++;
        if ($this->badRows <= self::NAMED) {
            $this->notes[] = new LogNote('Left out: '.$why, $line, $column);
        }

        return null;
    }

    /**
     * Columns that every row has a number in.
     *
     * @return list<string>
     */
    public function whole(): array
    {
        return array_keys(array_filter($this->columns, fn (array $column): bool => count($column) === $this->count && array_filter($column, is_nan(...)) === []));
    }

    /**
     * What was collected, as a log.
     *
     * @param  list<'heading_deg'|'gimbal_tilt_deg'>  $lacks  camera columns that the format or the file does not have
     * @param  ?float  $epoch  UTC seconds since 1970 at which t is 0, where the file says it
     */
    public function log(array $lacks = [], ?float $epoch = null): FlightLog
    {
        $this->checkShare();
        foreach ($lacks as $column) {
            $this->columns[$column] = array_fill(0, $this->count, 0.0);
            $this->notes[] = new LogNote($column === 'heading_deg'
                ? 'The file does not say which way the craft looked: turn and frame can’t be judged.'
                : 'The file does not say where the lens looked: tilt and frame can’t be judged.');
        }
        [$columns, $modes] = $this->inOrder();
        if ($this->badRows > self::NAMED) {
            $this->notes[] = new LogNote(sprintf('%d more rows could not be read and were left out.', $this->badRows - self::NAMED));
        }
        $log = new FlightLog($columns, $modes, [], '', $lacks, $epoch);
        $this->noteGaps($log);

        return new FlightLog($columns, $modes, $this->notes, '', $lacks, $epoch);
    }

    private function checkShare(): void
    {
        $first = null;
        foreach ($this->notes as $note) {
            if (str_starts_with($note->text, 'Left out')) {
                $first = $note;
                break;
            }
        }
        $place = $first === null ? 'line 2' : 'line '.$first->line.($first->column === '' ? '' : ', column '.$first->column);
        if ($this->badRows > self::LARGEST_BAD_SHARE * ($this->count + $this->badRows)) {
            throw new Refusal(sprintf('%d of %d rows can’t be read. The first: %s', $this->badRows, $this->count + $this->badRows, substr($first->text ?? '', 10)), $place, 'numbers in every required column');
        }
        if ($this->count < self::FEWEST) {
            throw new Refusal(sprintf('Only %d rows hold a sample.', $this->count), $place, 'at least '.self::FEWEST.' samples');
        }
    }

    /** @return array{array<string, list<float>>, list<string>} columns and modes in order of time, each time once */
    private function inOrder(): array
    {
        $t = $this->columns['t'];
        $n = $this->count;
        $back = $repeated = [];
        for ($i = 1; $i < $n; $i++) {
            if ($t[$i] < $t[$i - 1]) {
                $back[] = $this->lines[$i];
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
                $repeated[] = $this->lines[$i];

                continue;
            }
            $previous = $t[$i];
            $keep[] = $i;
        }
        if ($repeated !== []) {
            $this->notes[] = new LogNote(sprintf('%d rows repeat a time; the first of each was kept.', count($repeated)), $repeated[0], 't');
        }
        if (count($keep) < self::FEWEST) {
            throw new Refusal('Time stands still in this log.', 'line '.($repeated[0] ?? 2).', column t', 'a time that rises from row to row, in seconds');
        }
        if ($back === [] && $repeated === []) {
            return [$this->columns, $this->modes];
        }
        $columns = array_map(static fn (array $values): array => array_map(static fn (int $i): float => $values[$i], $keep), $this->columns);
        $modes = $this->modes;

        return [$columns, $modes === [] ? [] : array_map(static fn (int $i): string => $modes[$i], $keep)];
    }

    private function noteGaps(FlightLog $log): void
    {
        $t = $log->column('t');
        $limit = max(0.6, 3 / max(1e-6, $log->rate()));
        $gaps = 0;
        $widest = $at = 0.0;
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
