<?php

declare(strict_types=1);

namespace App\Documents;

use Documents\Document;
use Larkspur\Fact;
use Larkspur\Training\Dispute;

/** A question on which practitioners differ. */
final readonly class DisputeDocument implements Document
{
    /** @param  string  $chosenAt  a choice of the house style, another page (house, judging, ladder, rig), each shot, or settled */
    public function __construct(
        public string $id, public string|Fact $one, public string|Fact $other, public string|Fact $here, public string $chosenAt,
    ) {
    }

    public static function of(Dispute $dispute): self
    {
        return new self($dispute->value, $dispute->one(), $dispute->other(), $dispute->here(), $dispute->chosenAt());
    }
}
