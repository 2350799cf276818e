<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\Import;
use App\Models\RememberedReading;
use App\Spoken;
use Documents\Document;
use Documents\Log\ColumnQuestion;
use Documents\Log\GuessedColumn;
use Documents\Log\LogNote;
use Documents\Log\LogQuantity;
use Documents\Log\PlaceReading;
use Documents\Log\UnsureTake;
use Documents\Map;

/** A log that was taken in, and what became of it. What was kept of it is said to whoever asks. */
final readonly class ImportDocument implements Document
{
    /**
     * @param  string  $maker  what tells the makers of logs apart: the kind of file, and how its columns are read
     * @param  'waiting'|'reading'|'judging'|'columns'|'place'|'done'|'refused'|'failed'  $state
     * @param  ?float  $ageS  since it was put in the queue, where it is under way
     * @param  bool  $stalled  whether it should go on, and shows no sign of it
     * @param  list<LogNote>  $notes
     * @param  list<int>  $takes
     * @param  list<UnsureTake>  $unsure  takes whose move the log does not tell
     * @param  ?ColumnQuestion  $columns  what has to be confirmed before it can be read
     * @param  list<PlaceReading>  $readings  of a log that lies elsewhere than its plan: one of these has to be said
     */
    public function __construct(
        public int $id,
        public string $fileName,
        public string $maker,
        public ?int $shotId,
        public string $state,
        public int $bytes,
        public int $bytesRead,
        public ?float $ageS,
        public bool $stalled,
        public string $message,
        public string $place,
        public string $expected,
        public array $notes,
        public array $takes,
        public array $unsure,
        public ?ColumnQuestion $columns,
        public array $readings,
    ) {
    }

    public static function of(Import $import): self
    {
        $outcome = Spoken::to()->saidThroughout($import->outcome);

        return new self(
            $import->id, $import->file_name, RememberedReading::makerOf($import), $import->shot_id, $import->state,
            $import->bytes, $import->bytes_read,
            ! in_array($import->state, Import::UNDER_WAY, true) ? null : round(
                ($import->queued_at ?? $import->created_at)->diffInSeconds(now()),
            ),
            $import->isStalled(),
            $outcome['message'] ?? '', $outcome['place'] ?? '', $outcome['expected'] ?? '', LogNote::each($outcome['notes'] ?? []),
            $outcome['takes'] ?? [], array_map(UnsureTake::of(...), array_values($outcome['unsure'] ?? [])),
            $import->state !== Import::COLUMNS ? null : new ColumnQuestion(
                $outcome['headers'] ?? [],
                new Map(array_map(
                    static fn (array $one): GuessedColumn => new GuessedColumn(
                        $one['column'], $one['unit'], $one['sure'], $one['why'], $one['samples'] ?? [],
                    ),
                    $outcome['guess']['columns'] ?? [],
                )),
                LogQuantity::all(),
            ),
            array_map(PlaceReading::of(...), array_values($outcome['readings'] ?? [])),
        );
    }
}
