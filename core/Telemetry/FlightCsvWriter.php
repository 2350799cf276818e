<?php

declare(strict_types=1);

namespace Larkspur\Telemetry;

/** Writes Flight CSV: the contract's column names and units, CRLF line ends, numbers with a decimal point. */
final class FlightCsvWriter implements LogWriter
{
    /** Decimals kept of each column; 8 of a degree are about a millimetre. */
    private const DECIMALS = ['t' => 3, 'lat' => 8, 'lon' => 8, 'subject_lat' => 8, 'subject_lon' => 8, 'automated' => 0, 'recording' => 0];

    public function write(FlightLog $log): iterable
    {
        $names = array_values(array_filter([...FlightLog::REQUIRED, ...FlightLog::OPTIONAL], $log->has(...)));
        $withModes = $log->flightModes !== [];
        yield implode(',', $withModes ? [...$names, 'flight_mode'] : $names)."\r\n";
        $columns = array_map(static fn (string $name): array => [$log->columns[$name], self::DECIMALS[$name] ?? 4], $names);
        $piece = '';
        for ($i = 0, $n = $log->count(); $i < $n; $i++) {
            $cells = [];
            foreach ($columns as [$column, $decimals]) {
                $cells[] = is_nan($column[$i]) ? '' : number_format($column[$i], $decimals, '.', '');
            }
            if ($withModes) {
                $cells[] = self::text($log->flightModes[$i]);
            }
            $piece .= implode(',', $cells)."\r\n";
            if (strlen($piece) > 65536) {
                yield $piece;
                $piece = '';
            }
        }
        yield $piece;
    }

    /** Quotes a text cell where needed, and keeps spreadsheets from running it as a formula. */
    public static function text(string $cell): string
    {
        if ($cell !== '' && str_contains("=+-@\t", $cell[0])) {
            $cell = "'".$cell;
        }

        return preg_match('/[",\r\n]/', $cell) === 1 ? '"'.str_replace('"', '""', $cell).'"' : $cell;
    }
}
