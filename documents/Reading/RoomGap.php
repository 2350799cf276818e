<?php

declare(strict_types=1);

namespace Documents\Reading;

use Documents\Document;

/** A gap that is flown through. */
final readonly class RoomGap implements Document
{
    public function __construct(
        public string $left,
        public string $right,
        public float $widthM,
        public float $neededM,
        public float $atS,
        public bool $ok,
    ) {
    }

    /** @param  ?array{left: string, right: string, width: float, needed: float, at: float}  $gap */
    public static function of(?array $gap): ?self
    {
        return $gap === null ? null : new self(
            $gap['left'], $gap['right'], round($gap['width'], 2), round($gap['needed'], 2), round($gap['at'], 1),
            $gap['width'] >= $gap['needed'],
        );
    }
}
