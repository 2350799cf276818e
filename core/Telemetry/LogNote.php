<?php

declare(strict_types=1);

namespace Larkspur\Telemetry;

use Larkspur\Fact;

/** Something about a log that its owner should know: a row that was left out, a gap, rows put in order. */
final readonly class LogNote
{
    /** @param  ?int  $line line of the file, counted from 1 */
    public function __construct(public Fact $text, public ?int $line = null, public string $column = '')
    {
    }

    /** @return array{line: ?int, column: string, text: Fact} */
    public function toArray(): array
    {
        return ['line' => $this->line, 'column' => $this->column, 'text' => $this->text];
    }
}
