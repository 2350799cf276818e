<?php

declare(strict_types=1);

namespace Documents\Rig;

use Documents\Document;
use Larkspur\Fact;

/** A shot that no advice could be given for. */
final readonly class LeftOut implements Document
{
    public function __construct(public string $shot, public Fact $why)
    {
    }
}
