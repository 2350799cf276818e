<?php

declare(strict_types=1);

namespace App\Documents;

use App\Models\FlightLog;
use App\Spoken;
use Documents\Document;
use Documents\Log\LogNote;

/** The log of a take. */
final readonly class TakeLog implements Document
{
    /**
     * @param  'imported'|'simulated'|'practised'  $source
     * @param  list<LogNote>  $notes
     */
    public function __construct(
        public string $fileName,
        public string $source,
        public int $samples,
        public float $rateHz,
        public array $notes,
    ) {
    }

    public static function of(FlightLog $log): self
    {
        /** @var list<array{line: ?int, column: string, text: string}> $notes */
        $notes = Spoken::to()->saidThroughout($log->notes);

        return new self($log->file_name, $log->source, $log->samples, $log->rate_hz, LogNote::each($notes));
    }
}
