<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\ColumnMapping;
use Documents\Document;
use Documents\Log\ColumnQuestion;
use Documents\Log\GuessedColumn;
use Documents\Log\LogQuantity;
use Documents\Map;

/** What the school confirmed of the columns of one maker's logs. */
final readonly class RememberedColumns implements Document
{
    /** @param  string  $fileName  of the log over which it was confirmed; empty where that was not kept */
    public function __construct(public int $id, public string $fileName, public string $confirmedAt, public ColumnQuestion $columns)
    {
    }

    public static function of(ColumnMapping $known): self
    {
        /** @var array<string, array{column: string, unit?: string}> $columns */
        $columns = $known->mapping['columns'] ?? [];

        return new self($known->id, $known->file_name, $known->updated_at?->toIso8601ZuluString() ?? '', new ColumnQuestion(
            $known->headers ?? array_values(array_unique(array_column($columns, 'column'))),
            new Map(array_map(
                static fn (array $one): GuessedColumn => new GuessedColumn($one['column'], $one['unit'] ?? '', true, '', []), $columns,
            )),
            LogQuantity::all(),
        ));
    }
}
