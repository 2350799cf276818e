<?php

declare(strict_types=1);

namespace Larkspur;

/**
 * Thrown where core/ is handed something that can't be planned, read or scored.
 *
 * The message is written for the person who sees it; `place` names where the fault sits (a field such as
 * "parameters.radius_m", or "line 12, column alt_m"), so that a form, a command line or an API can point at it.
 */
class Refusal extends \DomainException
{
    public function __construct(
        string $message,
        public readonly string $place = '',
        public readonly string $expected = '',
    ) {
        parent::__construct($message);
    }

    /** One line for a terminal: place, what was wrong, what was expected. */
    public function line(): string
    {
        $line = $this->place === '' ? $this->getMessage() : $this->place.': '.$this->getMessage();

        return $this->expected === '' ? $line : rtrim($line, '.').'. Expected '.$this->expected.'.';
    }

    public function at(string $prefix): self
    {
        $place = $this->place === '' ? $prefix : $prefix.'.'.$this->place;

        return new self($this->getMessage(), $place, $this->expected);
    }
}
