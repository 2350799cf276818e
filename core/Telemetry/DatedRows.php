<?php

declare(strict_types=1);

namespace Larkspur\Telemetry;

/** Samples whose times are dates: collected with t counted from the first, and the date of that kept. */
final class DatedRows
{
    /** A log of 1970 never had a date: its times were seconds since the recording began. */
    private const UNDATED = 86400.0 * 365;

    public readonly SampleRows $rows;

    private ?float $first = null;

    private int $modes = 0;

    public function __construct()
    {
        $this->rows = new SampleRows(['t', 'lat', 'lon', 'alt_m']);
    }

    /**
     * @param  array<string, float>  $values  by contract name; t in UTC seconds since 1970
     */
    public function add(array $values, int $line, string $mode): void
    {
        $this->first ??= $values['t'];
        $this->modes += $mode === '' ? 0 : 1;
        $this->rows->add([...$values, 't' => round($values['t'] - $this->first, 4)], $line, $mode);
    }

    public function isEmpty(): bool
    {
        return $this->first === null;
    }

    /** Columns of the camera that no row, or not every row, has count as lacking. */
    public function log(): FlightLog
    {
        $first = $this->first ?? 0.0;
        $whole = $this->rows->whole();
        $log = $this->rows->log(array_values(array_diff(['heading_deg', 'gimbal_tilt_deg'], $whole)), $first);
        $columns = $log->columns;
        $undated = $first < self::UNDATED;
        if ($undated) {
            $columns['t'] = array_map(static fn (float $t): float => round($t + $first, 4), $columns['t']);
        }

        return new FlightLog($columns, $this->modes > 0 ? $log->flightModes : [], $log->notes, '', $log->lacks, $undated ? null : $first);
    }
}
