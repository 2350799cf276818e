<?php

declare(strict_types=1);

namespace Documents\Practice;

use Documents\Document;
use Larkspur\Practice\Rehearsal;

/** How a thumb sheet was played without a craft, finger by finger. */
final readonly class RehearsalDocument implements Document
{
    /** @param  list<RehearsedFingerDocument>  $fingers */
    public function __construct(public bool $clean, public array $fingers)
    {
    }

    public static function of(Rehearsal $rehearsal): self
    {
        return new self($rehearsal->isClean(), array_map(RehearsedFingerDocument::of(...), $rehearsal->fingers));
    }
}
