<?php

declare(strict_types=1);

namespace Documents\Day;

use Documents\Document;

/** What was decided on the spot, by whom, and why. */
final readonly class Decided implements Document
{
    /** @param  'go'|'wait'|'scrap'  $choice */
    public function __construct(public string $choice, public string $note, public string $by, public string $at)
    {
    }

    /** @param  array{choice: 'go'|'wait'|'scrap', note: string, by: string, made: float}  $one */
    public static function of(array $one): self
    {
        return new self($one['choice'], $one['note'], $one['by'], gmdate('Y-m-d\TH:i:s\Z', (int) $one['made']));
    }
}
