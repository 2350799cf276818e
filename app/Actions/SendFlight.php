<?php

declare(strict_types=1);

namespace App\Actions;

use App\Files\Vault;
use App\Models\Import;
use Illuminate\Support\Str;
use Larkspur\Telemetry\FlightCsvWriter;
use Larkspur\Telemetry\FlightLog;
use RuntimeException;

/** Sends a flight that was flown here the way of every log: written as a file, imported, cut into takes and judged at once. */
final readonly class SendFlight
{
    public function __construct(private ImportLog $import, private Vault $vault)
    {
    }

    /**
     * @param  array<string, mixed>  $attributes  of the import
     * @return Import with its takes in the outcome, or why there are none
     */
    public function __invoke(FlightLog $log, array $attributes): Import
    {
        $path = 'uploads/'.Str::uuid()->toString().'.csv';
        $csv = tmpfile();
        if ($csv === false) {
            throw new RuntimeException('No file for the log can be made.');
        }
        foreach ((new FlightCsvWriter)->write($log) as $piece) {
            fwrite($csv, $piece);
        }
        $bytes = (int) ftell($csv);
        $this->vault->keep($path, $csv);
        $import = Import::query()->create([...$attributes, 'path' => $path, 'bytes' => $bytes, 'queued_at' => now(), 'seen_at' => now()]);
        ($this->import)($import);

        return $import;
    }
}
