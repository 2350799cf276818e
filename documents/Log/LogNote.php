<?php

declare(strict_types=1);

namespace Documents\Log;

use Documents\Document;

/** Something about a log that its owner should know; said already, for it was kept. */
final readonly class LogNote implements Document
{
    public function __construct(public ?int $line, public string $column, public string $text)
    {
    }

    /**
     * @param  list<array{line: ?int, column: string, text: string}>  $notes
     * @return list<self>
     */
    public static function each(array $notes): array
    {
        return array_map(static fn (array $note): self => new self($note['line'], $note['column'], $note['text']), $notes);
    }
}
