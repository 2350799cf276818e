<?php

declare(strict_types=1);

namespace Documents\Day;

use Documents\Document;
use Larkspur\Fact;
use Larkspur\Refusal;

/** Why a day can't be put in order: where it says what it can't say, and what was expected there. */
final readonly class DayProblem implements Document
{
    public function __construct(public string $place, public Fact $message, public Fact|string $expected)
    {
    }

    public static function of(Refusal $refusal): self
    {
        return new self($refusal->place, $refusal->fact, $refusal->expected ?? '');
    }
}
