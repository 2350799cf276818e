<?php

declare(strict_types=1);

namespace Larkspur\Telemetry;

use Larkspur\Fact;
use Larkspur\Measure\Angle;
use Larkspur\Measure\Quantity;
use Larkspur\Refusal;

/**
 * The samples of a log as its reader meets them, whatever the format: rows that can't be read are left out and named, rows
 * are put in order of time, repeats dropped, gaps noted. Refuses what is mostly unreadable, endless or no flight at all.
 */
final class SampleRows
{
    /** More rows than eight hours at 50 Hz: no flight lasts that long. */
    public const MOST = 1_500_000;

    /** No log is of more than a day: its times are wrong, s. */
    private const LONGEST = 86400.0;

    private const FEWEST = 30;

    /** Rows named one by one; further ones are counted. */
    private const NAMED = 20;

    private const LEFT_OUT = 'sample-rows.left-out';

    private const LARGEST_JUMPING_SHARE = 0.2;

    /** No craft of this trade goes so far between two samples so fast, m and m/s; the mean radius of the earth, m. */
    private const JUMP = 5.0;

    private const FASTEST = 80.0;

    private const EARTH = 6_371_000.0;

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
            throw new Refusal(
                Fact::of('sample-rows.log-more-rows-any'), sprintf('line %s', $line),
                Fact::of('sample-rows.most-rows', most: number_format(self::MOST)),
            );
        }
    }

    public function note(LogNote $note): void
    {
        $this->notes[] = $note;
    }

    /** A value of a row, within the range of its quantity; says why and leaves the row out where a required one is not. */
    public function inRange(string $name, float $value, string $written, int $line): ?float
    {
        [$least, $most] = LogQuantity::RANGES[$name] ?? [-INF, INF];
        if (is_finite($value) && $value >= $least && $value <= $most) {
            return $value;
        }

        return in_array($name, FlightLog::REQUIRED, true)
            ? $this->leaveOut($line, $name, Fact::of('sample-rows.is-not', written: $written, expected: Fact::of("quantity.range.$name")))
            : NAN;
    }

    public function leaveOut(int $line, string $column, Fact $why): null
    {
        $this->badRows++;
        if ($this->badRows <= self::NAMED) {
            $this->notes[] = new LogNote(Fact::of(self::LEFT_OUT, why: $why), $line, $column);
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
        return array_keys(array_filter(
            $this->columns, fn (array $column): bool => count($column) === $this->count && array_filter($column, is_nan(...)) === [],
        ));
    }

    /**
     * What was collected, as a log.
     *
     * @param  list<'heading_deg'|'gimbal_tilt_deg'>  $lacks  camera columns that the format or the file does not have
     * @param  ?float  $epoch  UTC seconds since 1970 at which t is 0, where the file says it
     * @param  bool  $zoneless  whether its dates name no zone
     */
    public function log(array $lacks = [], ?float $epoch = null, bool $zoneless = false): FlightLog
    {
        $this->checkShare();
        foreach ($lacks as $column) {
            $this->columns[$column] = array_fill(0, $this->count, 0.0);
        }
        [$columns, $modes] = $this->inOrder();
        $span = $columns['t'][count($columns['t']) - 1] - $columns['t'][0];
        if ($span > self::LONGEST) {
            throw new Refusal(
                Fact::of('sample-rows.too-long', hours: $span / 3600), 't', Fact::of('sample-rows.longest', hours: self::LONGEST / 3600),
            );
        }
        $this->checkJumps($columns);
        if ($this->badRows > self::NAMED) {
            $this->notes[] = new LogNote(Fact::of('sample-rows.more-rows-could-not', named: $this->badRows - self::NAMED));
        }
        if (array_filter($columns['alt_m'], static fn (float $height): bool => $height !== 0.0) === []) {
            $this->notes[] = new LogNote(Fact::of('sample-rows.no-heights'), null, 'alt_m');
        }
        $log = new FlightLog($columns, $modes, [], '', $lacks, $epoch);
        $this->noteGaps($log);

        return new FlightLog($columns, $modes, $this->notes, '', $lacks, $epoch, $zoneless);
    }

    private function checkShare(): void
    {
        $first = null;
        foreach ($this->notes as $note) {
            if ($note->text->code === self::LEFT_OUT) {
                $first = $note;
                break;
            }
        }
        $place = $first === null ? 'line 2' : 'line '.$first->line.($first->column === '' ? '' : ', column '.$first->column);
        if ($this->badRows > self::LARGEST_BAD_SHARE * ($this->count + $this->badRows)) {
            throw new Refusal(
                Fact::of(
                    'sample-rows.rows-cant-read-first', bad: $this->badRows, rows: $this->count + $this->badRows,
                    why: $first?->text->value('why') ?? '',
                ),
                $place, Fact::of('sample-rows.numbers-every-required-column'),
            );
        }
        if ($this->count < self::FEWEST) {
            throw new Refusal(
                Fact::of('sample-rows.only-rows-hold-sample', count: $this->count), $place,
                Fact::of('sample-rows.least-samples', fewest: self::FEWEST),
            );
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
            $this->notes[] = new LogNote(
                count($back) === $n - 1
                    ? Fact::of('sample-rows.time-runs-backwards')
                    : Fact::of('sample-rows.time-goes-back-rows', count: count($back)),
                $back[0], 't',
            );
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
            $this->notes[] = new LogNote(Fact::of('sample-rows.rows-repeat-time-first', count: count($repeated)), $repeated[0], 't');
        }
        if (count($keep) < self::FEWEST) {
            throw new Refusal(
                Fact::of('sample-rows.time-stands-still-log'), sprintf('line %s, column t', $repeated[0] ?? 2),
                Fact::of('sample-rows.time-rises-row-row'),
            );
        }
        if ($back === [] && $repeated === []) {
            return [$this->columns, $this->modes];
        }
        $columns = array_map(
            static fn (array $values): array => array_map(static fn (int $i): float => $values[$i], $keep), $this->columns,
        );
        $modes = $this->modes;

        return [$columns, $modes === [] ? [] : array_map(static fn (int $i): string => $modes[$i], $keep)];
    }

    /**
     * A craft that is now here and now there is two craft in one file, or a receiver that never found itself.
     *
     * @param  array<string, list<float>>  $columns
     */
    private function checkJumps(array $columns): void
    {
        $jumps = 0;
        $first = null;
        [$t, $lat, $lon] = [$columns['t'], $columns['lat'], $columns['lon']];
        $perDegree = Angle::DEGREE * self::EARTH;
        for ($i = 1, $n = count($t); $i < $n; $i++) {
            $north = $perDegree * ($lat[$i] - $lat[$i - 1]);
            $east = $perDegree * ($lon[$i] - $lon[$i - 1]) * cos($lat[$i] * Angle::DEGREE);
            $gone = hypot($east, $north);
            if ($gone > self::JUMP && $gone > self::FASTEST * ($t[$i] - $t[$i - 1])) {
                $jumps++;
                $first ??= $t[$i];
            }
        }
        if ($jumps > self::LARGEST_JUMPING_SHARE * count($t)) {
            throw new Refusal(
                Fact::of('sample-rows.jumps', jumps: $jumps, at: Quantity::moment($first ?? 0.0)), 'lat', Fact::of('sample-rows.one-craft'),
            );
        }
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
            $this->notes[] = new LogNote(Fact::of(
                'sample-rows.log-longest-nothing-judged', count: $gaps, widest: Quantity::seconds($widest), at: Quantity::moment($at),
            ));
        }
    }
}
