<?php

declare(strict_types=1);

namespace Documents;

use Attribute;

/** A document whose properties stand among those of the one that holds it, not below a name of their own. */
#[Attribute(Attribute::TARGET_PROPERTY | Attribute::TARGET_PARAMETER)]
final readonly class Merged
{
}
