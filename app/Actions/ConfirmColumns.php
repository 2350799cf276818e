<?php

declare(strict_types=1);

namespace App\Actions;

use App\Jobs\ReadUpload;
use App\Models\ColumnMapping;
use App\Models\Import;
use Larkspur\Fact;
use Larkspur\Fields;
use Larkspur\Refusal;
use Larkspur\Telemetry\ColumnMapping as Mapping;

/** Takes somebody's word for what the columns of an upload are, remembers it for the school, and reads the upload again. */
final readonly class ConfirmColumns
{
    /** @param  array<string, mixed>  $columns  as a file of larkspur/columns/1 has them */
    public function __invoke(Import $import, array $columns): Import
    {
        if ($import->state !== Import::COLUMNS) {
            throw new Refusal(Fact::of('import.waits-for-no-columns'), 'import');
        }
        $mapping = Mapping::read(Fields::of(['columns' => $columns]))->toArray();
        ColumnMapping::query()->updateOrCreate(
            ['school_id' => $import->school_id, 'fingerprint' => Mapping::fingerprint($import->outcome['headers'] ?? [])],
            ['mapping' => $mapping],
        );
        $import->update(['columns' => $mapping, 'state' => Import::WAITING, 'outcome' => []]);
        ReadUpload::dispatch($import->id);

        return $import;
    }
}
