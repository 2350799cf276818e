<?php

declare(strict_types=1);

namespace Documents\Reading;

use Documents\Document;
use Larkspur\Fact;

/** One of the passes of a shot: as planned, or a variant. */
final readonly class PlannedPass implements Document
{
    public function __construct(
        public int $pass,
        public Fact $title,
        public ?string $variant,
    ) {
    }

    /** @param  array{pass: int, title: Fact, variant: ?string}  $pass */
    public static function of(array $pass): self
    {
        return new self($pass['pass'], $pass['title'], $pass['variant']);
    }
}
