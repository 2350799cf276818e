<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\FlightLog;
use App\Models\Import;
use App\Models\Take;
use App\Progress\OperatorRecord;
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
        $record = $import->flight_log_id === null ? null : FlightLog::query()->find($import->flight_log_id);
        if ($record === null || self::unsure($import, $number) === []) {
            throw self::named($number);
        }
        Catalogue::move($move, 'move');
        $log = $record->read();
        $score = Scorer::score(
            $log, new Intent($move, null, null, 0.5, 0.5, Lens::assumed(), null, []), $number,
            $import->owner->school->judging(),
        );

        return DB::transaction(function () use ($import, $record, $log, $number, $score): Take {
            OperatorRecord::hold($import->owner_id);
            // Two who name it at once: the second hears that it has a name.
            $query = Import::query()->whereKey($import->id);
            $query->lockForUpdate();
            $import = $query->firstOrFail()->load('owner.school');
            if (self::unsure($import, $number) === []) {
                throw self::named($number);
            }
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

    /** @return list<array<string, mixed>> the take of this number, where it still needs a name */
    private static function unsure(Import $import, int $number): array
    {
        return array_values(array_filter($import->outcome['unsure'] ?? [], static fn (array $one): bool => $one['number'] === $number));
    }

    private static function named(int $number): Refusal
    {
        return new Refusal(Fact::of('import.take-needs-no-name', number: $number), 'number');
    }
}
