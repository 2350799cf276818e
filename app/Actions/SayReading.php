<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Import;
use App\Models\RememberedReading;
use Larkspur\Fact;
use Larkspur\Fields;
use Larkspur\Move\Intent;
use Larkspur\Refusal;
use Larkspur\Telemetry\Reading;

/**
 * Reads a log that lies elsewhere than its plan as somebody said that it is meant, with those that wait for the same answer, and remembers
 * it.
 */
final readonly class SayReading
{
    /** @param  ?Reading  $reading  null where it is of another flight: judged by the move that it looks like */
    public function __invoke(Import $import, ?Reading $reading): Import
    {
        if ($import->state !== Import::PLACE || $import->shot === null) {
            throw new Refusal(Fact::of('import.waits-for-no-reading'), 'import');
        }
        if ($reading !== null && $reading !== Reading::AsWritten) {
            RememberedReading::query()->updateOrCreate(
                ['school_id' => $import->school_id, 'maker' => RememberedReading::makerOf($import)],
                ['reading' => $reading->value, 'file_name' => $import->file_name],
            );
        }
        $intent = Intent::read(Fields::of($import->shot->intent));
        $ground = self::ground($intent);
        $waiting = Import::query()->where('shot_id', $import->shot_id)->where('owner_id', $import->owner_id)->where('state', Import::PLACE);
        foreach ($waiting->get() as $other) {
            if ($other->is($import) || self::asksTheSame($other, $import)) {
                $other->fill($reading === null ? ['shot_id' => null] : ['reading' => $reading->value, 'reading_ground_m' => $ground])
                    ->queue();
            }
        }

        return $import;
    }

    /** Height that heights from take-off are lifted by, m: of take-off, or else of the foot of what is filmed. */
    public static function ground(Intent $intent): float
    {
        return $intent->home->altitude ?? $intent->subjectBase ?? $intent->subject->altitude ?? 0.0;
    }

    /** Whether another log of the shot comes from the same recorder, by its columns and its kind, and may be meant in the same ways. */
    private static function asksTheSame(Import $other, Import $import): bool
    {
        $ways = static fn (Import $one): array => array_column($one->outcome['readings'] ?? [], 'id');

        return $ways($other) === $ways($import) && RememberedReading::makerOf($other) === RememberedReading::makerOf($import);
    }
}
