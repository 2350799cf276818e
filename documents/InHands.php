<?php

declare(strict_types=1);

namespace Documents;

use Larkspur\Controls\StickMode;

/**
 * Something about a flight by somebody who may hold the sticks otherwise than the reader: its thumbs are those of whoever flies.
 *
 * @template T
 */
final readonly class InHands
{
    /** @param  T  $value */
    public function __construct(public mixed $value, public StickMode $sticks)
    {
    }
}
