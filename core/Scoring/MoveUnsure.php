<?php

declare(strict_types=1);

namespace Larkspur\Scoring;

use Larkspur\Fact;
use Larkspur\Move\Catalogue;
use Larkspur\Refusal;

/** A take whose move the log alone does not tell: refused until somebody says which of the likeliest it was. */
final class MoveUnsure extends Refusal
{
    /** @param  non-empty-list<string>  $candidates  move ids, the likeliest first */
    public function __construct(
        public readonly array $candidates, public readonly float $from, public readonly float $to, string $place = 'move',
    ) {
        parent::__construct(
            Fact::of(
                'take.move-unsure', first: Catalogue::nameOf($candidates[0]), second: Catalogue::nameOf($candidates[1] ?? $candidates[0]),
            ),
            $place, Fact::of('take.intent-wanted'),
        );
    }

    public function at(string $prefix): self
    {
        return new self($this->candidates, $this->from, $this->to, parent::at($prefix)->place);
    }
}
