<?php

declare(strict_types=1);

namespace Documents;

/**
 * Values by name, written as an object even where there are none.
 *
 * @template T
 */
final readonly class Map
{
    /** @param  array<array-key, T>  $values */
    public function __construct(public array $values)
    {
    }
}
