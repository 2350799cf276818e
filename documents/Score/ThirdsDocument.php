<?php

declare(strict_types=1);

namespace Documents\Score;

use Documents\Document;
use Larkspur\Scoring\Thirds;

/** How a take looks while it sets out, is held and comes to rest, 0 to 100 each. */
final readonly class ThirdsDocument implements Document
{
    public function __construct(public float $start, public float $middle, public float $end)
    {
    }

    public static function of(Thirds $thirds): self
    {
        return new self(round($thirds->start, 1), round($thirds->middle, 1), round($thirds->end, 1));
    }
}
