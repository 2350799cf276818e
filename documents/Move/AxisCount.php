<?php

declare(strict_types=1);

namespace Documents\Move;

use Documents\Document;

/** How many combinations there are of so many axes. */
final readonly class AxisCount implements Document
{
    public function __construct(public int $axes, public int $count)
    {
    }

    /**
     * @param  array<int, int>  $counts  by number of axes
     * @return list<self>
     */
    public static function each(array $counts): array
    {
        return array_map(static fn (int $axes, int $count): self => new self($axes, $count), array_keys($counts), $counts);
    }
}
