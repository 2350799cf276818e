<?php

declare(strict_types=1);

namespace Documents\Rig;

use Documents\Document;
use Larkspur\Fact;
use Larkspur\Training\SinceChange;

/** What takes came to since settings were changed. */
final readonly class SinceChangeDocument implements Document
{
    public function __construct(public int $before, public int $after, public ?float $change, public ?float $margin, public Fact $words)
    {
    }

    public static function of(SinceChange $since): self
    {
        return new self(
            $since->before, $since->after, $since->change === null ? null : round($since->change, 2),
            $since->margin === null ? null : round($since->margin, 2), $since->words,
        );
    }
}
