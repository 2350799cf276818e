<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\ColumnMapping;
use App\Models\Import;
use Larkspur\Fact;
use Larkspur\Fields;
use Larkspur\Refusal;
use Larkspur\Telemetry\ColumnMapping as Mapping;

/**
 * Takes somebody's word for what the columns of an upload are, remembers it for the school, and reads the upload again, with all that
 * wait for the same answer.
 */
final readonly class ConfirmColumns
{
    /** @param  array<string, mixed>  $columns  as a file of larkspur/columns/1 has them */
    public function __invoke(Import $import, array $columns): Import
    {
        if ($import->state !== Import::COLUMNS) {
            throw new Refusal(Fact::of('import.waits-for-no-columns'), 'import');
        }
        $mapping = Mapping::read(Fields::of(['columns' => $columns]))->toArray();
        $headers = $import->outcome['headers'] ?? [];
        $fingerprint = Mapping::fingerprint($headers);
        ColumnMapping::query()->updateOrCreate(
            ['school_id' => $import->school_id, 'fingerprint' => $fingerprint],
            ['mapping' => $mapping, 'headers' => $headers, 'file_name' => $import->file_name],
        );
        $waiting = Import::query()->where('school_id', $import->school_id)->where('state', Import::COLUMNS)->get();
        foreach ($waiting as $other) {
            if ($other->is($import) || Mapping::fingerprint($other->outcome['headers'] ?? []) === $fingerprint) {
                $other->fill(['columns' => $mapping])->queue();
            }
        }

        return $import;
    }
}
