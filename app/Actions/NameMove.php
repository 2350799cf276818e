<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\FlightLog;
use App\Models\Import;
use App\Models\Take;
use Illuminate\Support\Facades\DB;
use Larkspur\Camera\Lens;
use Larkspur\Fact;
use Larkspur\Move\Catalogue;
use Larkspur\Move\Intent;
use Larkspur\Refusal;
use Larkspur\Scoring\Scorer;

/** Judges a take whose move the log did not tell, by the move that somebody named, and keeps it. */
final readonly class NameMove
{
    public function __construct(private KeepTake $keepTake)
    {
    }

    public function __invoke(Import $import, int $number, string $move): Take
    {
        $unsure = array_values(array_filter($import->outcome['unsure'] ?? [], static fn (array $one): bool => $one['number'] === $number));
        $record = $import->flight_log_id === null ? null : FlightLog::query()->find($import->flight_log_id);
        if ($unsure === [] || $record === null) {
            throw new Refusal(Fact::of('import.take-needs-no-name', number: $number), 'number');
        }
        Catalogue::move($move, 'move');
        $log = $record->read();
        $score = Scorer::score(
            $log, new Intent($move, null, null, 0.5, 0.5, Lens::assumed(), null, []), $number,
            $import->owner->school->judging(),
        );

        return DB::transaction(function () use ($import, $record, $log, $number, $score): Take {
            $take = ($this->keepTake)($record, $log, $number, $score, null, $import->owner, $import->flown_at);
            $outcome = $import->outcome;
            $import->update(['outcome' => [
                ...$outcome, 'takes' => [...$outcome['takes'] ?? [], $take->id],
                'unsure' => array_values(array_filter(
                    $outcome['unsure'] ?? [], static fn (array $one): bool => $one['number'] !== $number,
                )),
            ]]);

            return $take;
        });
    }
}
