<?php

declare(strict_types=1);

namespace App\Actions;

use App\Jobs\ReadUpload;
use App\Models\Import;
use Larkspur\Fact;
use Larkspur\Fields;
use Larkspur\Move\Intent;
use Larkspur\Refusal;
use Larkspur\Telemetry\Reading;

/** Reads a log that lies elsewhere than its plan as somebody said that it is meant. */
final readonly class SayReading
{
    public function __invoke(Import $import, Reading $reading): Import
    {
        if ($import->state !== Import::PLACE || $import->shot === null) {
            throw new Refusal(Fact::of('import.waits-for-no-reading'), 'import');
        }
        $intent = Intent::read(Fields::of($import->shot->intent));
        $import->update([
            'reading' => $reading->value, 'state' => Import::WAITING, 'outcome' => [],
            'reading_ground_m' => $intent->home->altitude ?? $intent->subjectBase ?? $intent->subject->altitude ?? 0.0,
        ]);
        ReadUpload::dispatch($import->id);

        return $import;
    }
}
