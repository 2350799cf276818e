<?php

declare(strict_types=1);

namespace Documents\Day;

use Documents\Document;

/** An item that was ticked, or taken back. */
final readonly class Ticked implements Document
{
    public function __construct(public bool $on, public string $by, public string $at, public string $note)
    {
    }

    /** @param  array{on: bool, by: string, made: float, note: string}  $tick */
    public static function of(array $tick): self
    {
        return new self($tick['on'], $tick['by'], gmdate('Y-m-d\TH:i:s\Z', (int) $tick['made']), $tick['note']);
    }
}
