<?php

declare(strict_types=1);

namespace Larkspur\Telemetry;

use Larkspur\Controls\Axis;
use Larkspur\Measure\Statistics;

/**
 * A flight log as it was recorded: columns of equal length in the units of the Flight CSV contract.
 *
 * t rises strictly. The first six columns (t, lat, lon, alt_m, heading_deg, gimbal_tilt_deg) are always there and
 * finite; the others may be absent, or NAN in places. Flight modes are words.
 */
final readonly class FlightLog
{
    public const REQUIRED = ['t', 'lat', 'lon', 'alt_m', 'heading_deg', 'gimbal_tilt_deg'];

    public const OPTIONAL = [
        'speed_mps', 'climb_mps', 'gimbal_roll_deg', 'zoom', 'automated', 'recording', 'wind_mps', 'wind_from_deg',
        'stick_climb', 'stick_turn', 'stick_run', 'stick_slide', 'stick_tilt', 'subject_lat', 'subject_lon', 'subject_alt_m',
    ];

    /** Every name of the contract, the mode of flight with them. */
    public const NAMES = [...self::REQUIRED, ...self::OPTIONAL, 'flight_mode'];

    /**
     * @param  array<string, list<float>>  $columns  by contract name
     * @param  list<string>  $flightModes  one a row, or empty
     * @param  list<LogNote>  $notes  what the reader had to say about it
     * @param  ?float  $epoch  UTC seconds since 1970 at which t is 0, where the log says it
     * @param  list<'heading_deg'|'gimbal_tilt_deg'|'alt_m'>  $lacks  columns that the log did not have: they are filled with zeros
     * @param  bool  $zoneless  whether its dates name no zone, so that $epoch is what some clock showed and not yet an instant
     */
    public function __construct(
        public array $columns,
        public array $flightModes = [],
        public array $notes = [],
        public string $sha256 = '',
        public array $lacks = [],
        public ?float $epoch = null,
        public bool $zoneless = false,
    ) {
    }

    /** The column of the contract that a value of this name is, also under a converter's prefix ("f_heading_deg"); else null. */
    public static function columnNamed(string $name): ?string
    {
        $plain = (string) preg_replace('/^[a-z]{1,9}_(?=('.implode('|', self::NAMES).')$)/', '', $name);

        return in_array($plain, self::NAMES, true) ? $plain : null;
    }

    public function count(): int
    {
        return count($this->columns['t']);
    }

    public function has(string $column): bool
    {
        return isset($this->columns[$column]);
    }

    /** @return list<float> */
    public function column(string $name): array
    {
        return $this->columns[$name] ?? [];
    }

    public function from(): float
    {
        return $this->columns['t'][0];
    }

    public function to(): float
    {
        return $this->columns['t'][$this->count() - 1];
    }

    /** Samples per second: one over the median time step. */
    public function rate(): float
    {
        $steps = [];
        $t = $this->columns['t'];
        for ($i = 1, $n = count($t); $i < $n; $i++) {
            $steps[] = $t[$i] - $t[$i - 1];
        }
        $step = Statistics::median($steps);

        return $step > 0 ? 1 / $step : 0.0;
    }

    /** The part between two times, s, both included. */
    public function between(float $from, float $to): self
    {
        $n = $this->count();
        $first = $this->firstAt($from - 1e-9);
        $last = $this->firstAt($to + 1e-9) - 1;
        if ($first === 0 && $last === $n - 1) {
            return $this;
        }
        $length = $last - $first + 1;

        return new self(
            array_map(static fn (array $column): array => array_slice($column, $first, $length), $this->columns),
            array_slice($this->flightModes, $first, $this->flightModes === [] ? 0 : $length),
            $this->notes,
            $this->sha256,
            $this->lacks,
            $this->epoch,
            $this->zoneless,
        );
    }

    /**
     * Its stretches between holes that are longer than this, s: begin and end of each, and how many samples it has.
     *
     * @return non-empty-list<array{from: float, to: float, samples: int}>
     */
    public function runs(float $hole): array
    {
        $t = $this->columns['t'];
        $n = count($t);
        $runs = [];
        $first = 0;
        for ($i = 1; $i < $n; $i++) {
            if ($hole < $t[$i] - $t[$i - 1]) {
                $runs[] = ['from' => $t[$first], 'to' => $t[$i - 1], 'samples' => $i - $first];
                $first = $i;
            }
        }

        return [...$runs, ['from' => $t[$first], 'to' => $t[$n - 1], 'samples' => $n - $first]];
    }

    /** Row of the first sample at or after a time; the number of rows where there is none. */
    private function firstAt(float $time): int
    {
        $low = 0;
        $high = $this->count();
        while ($low < $high) {
            $middle = intdiv($low + $high, 2);
            if ($this->columns['t'][$middle] < $time) {
                $low = $middle + 1;
            } else {
                $high = $middle;
            }
        }

        return $low;
    }

    /**
     * The same with some columns otherwise.
     *
     * @param  array<string, list<float>>  $columns  by contract name
     */
    public function with(array $columns): self
    {
        return new self(
            [...$this->columns, ...$columns], $this->flightModes, $this->notes,
            $this->sha256, $this->lacks, $this->epoch, $this->zoneless,
        );
    }

    public function withSha256(string $sha256): self
    {
        return new self($this->columns, $this->flightModes, $this->notes, $sha256, $this->lacks, $this->epoch, $this->zoneless);
    }

    /**
     * The same, of which some columns are not to be believed.
     *
     * @param  list<'heading_deg'|'gimbal_tilt_deg'|'alt_m'>  $columns
     */
    public function lacking(array $columns): self
    {
        return $columns === [] ? $this : new self(
            $this->columns, $this->flightModes, $this->notes, $this->sha256, array_values(array_unique([...$this->lacks, ...$columns])),
            $this->epoch, $this->zoneless,
        );
    }

    public function noting(LogNote $note): self
    {
        return new self(
            $this->columns, $this->flightModes, [...$this->notes, $note],
            $this->sha256, $this->lacks, $this->epoch, $this->zoneless,
        );
    }

    /** @return list<Axis> axes of which the log tells nothing */
    public function unknownAxes(): array
    {
        return array_map(static fn (string $column): Axis => match ($column) {
            'heading_deg' => Axis::Turn,
            'gimbal_tilt_deg' => Axis::Tilt,
            'alt_m' => Axis::Climb,
        }, $this->lacks);
    }
}
