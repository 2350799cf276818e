<?php

declare(strict_types=1);

namespace Documents\Reading;

use Documents\Document;

/** How far is flown backward, and what stands there. */
final readonly class RoomBehind implements Document
{
    public function __construct(
        public float $metres,
        public ?string $name,
    ) {
    }

    /** @param  ?array{metres: float, name: ?string}  $behind */
    public static function of(?array $behind): ?self
    {
        return $behind === null ? null : new self(round($behind['metres'], 1), $behind['name']);
    }
}
