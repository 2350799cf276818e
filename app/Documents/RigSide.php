<?php

declare(strict_types=1);

namespace App\Documents;

use Documents\Document;
use Documents\Rig\RigReadingDocument;

/** One of two rigs that are compared. */
final readonly class RigSide implements Document
{
    public function __construct(public RigDocument $rig, public RigReadingDocument $reading)
    {
    }
}
