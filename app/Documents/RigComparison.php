<?php

declare(strict_types=1);

namespace App\Documents;

use Documents\Document;
use Documents\Rig\RigChange;

/** Two rigs side by side. */
final readonly class RigComparison implements Document
{
    /**
     * @param  list<RigChange>  $differences  empty for two craft: bare numbers of two say nothing beside each other, curves and rates do
     */
    public function __construct(
        public RigSide $one,
        public RigSide $other,
        public bool $sameCraft,
        public array $differences,
    ) {
    }
}
