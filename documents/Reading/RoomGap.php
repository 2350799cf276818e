<?php

declare(strict_types=1);

namespace Documents\Reading;

use Documents\Document;
use Larkspur\Choreography\Opening;
use Larkspur\Fact;

/** A gap that is flown through. */
final readonly class RoomGap implements Document
{
    public function __construct(
        public string|Fact $left,
        public string|Fact $right,
        public float $widthM,
        public float $neededM,
        public float $atS,
        public bool $ok,
    ) {
    }

    public static function of(?Opening $gap): ?self
    {
        return $gap === null ? null : new self(
            $gap->left, $gap->right, round($gap->width, 2), round($gap->needed, 2), round($gap->at, 1), $gap->fits(),
        );
    }
}
