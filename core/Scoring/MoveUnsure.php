<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

use Larkspur\Refusal;

/** A take whose move the log alone does not tell: refused until somebody says which of the likeliest it was. */
final class MoveUnsure extends Refusal
{
    /** @param  list<string>  $candidates  move ids, the likeliest first */
    public function __construct(string $message, string $place, string $expected, public readonly array $candidates, public readonly float $from, public readonly float $to)
    {
        parent::__construct($message, $place, $expected);
    }

    public function at(string $prefix): self
    {
        return new self($this->getMessage(), parent::at($prefix)->place, $this->expected, $this->candidates, $this->from, $this->to);
    }
}
