<?php

declare(strict_types=1);

namespace Documents;

use Attribute;

/** Names the schema of a property that is a file of ours as it stands, such as an intent; or of each of a list of them. */
#[Attribute(Attribute::TARGET_PROPERTY | Attribute::TARGET_PARAMETER)]
final readonly class Shape
{
    public function __construct(public string $schema, public bool $each = false)
    {
    }
}
