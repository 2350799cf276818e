<?php

declare(strict_types=1);

namespace App\Actions;

use App\Jobs\ReadUpload;
use App\Models\Import;
use Larkspur\Fact;
use Larkspur\Fields;
use Larkspur\Move\Intent;
use Larkspur\Refusal;
use Larkspur\Telemetry\Formats;
use Larkspur\Telemetry\Reading;

/** Reads a log that lies elsewhere than its plan as somebody said that it is meant, with those that wait for the same answer. */
final readonly class SayReading
{
    public function __invoke(Import $import, Reading $reading): Import
    {
        if ($import->state !== Import::PLACE || $import->shot === null) {
            throw new Refusal(Fact::of('import.waits-for-no-reading'), 'import');
        }
        $intent = Intent::read(Fields::of($import->shot->intent));
        $ground = $intent->home->altitude ?? $intent->subjectBase ?? $intent->subject->altitude ?? 0.0;
        $waiting = Import::query()->where('shot_id', $import->shot_id)->where('owner_id', $import->owner_id)->where('state', Import::PLACE);
        foreach ($waiting->get() as $other) {
            if ($other->is($import) || self::asksTheSame($other, $import)) {
                $other->update([
                    'reading' => $reading->value, 'reading_ground_m' => $ground, 'state' => Import::WAITING, 'outcome' => [],
                ]);
                ReadUpload::dispatch($other->id);
            }
        }

        return $import;
    }

    /** Whether another log of the shot comes from the same recorder, by its columns and its kind, and may be meant in the same ways. */
    private static function asksTheSame(Import $other, Import $import): bool
    {
        $ways = static fn (Import $one): array => array_column($one->outcome['readings'] ?? [], 'id');

        return $ways($other) === $ways($import) && $other->columns == $import->columns
            && Formats::ending($other->file_name) === Formats::ending($import->file_name);
    }
}
