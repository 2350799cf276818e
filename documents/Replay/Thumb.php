<?php

declare(strict_types=1);

namespace Documents\Replay;

use Documents\Document;
use Larkspur\Controls\Finger;
use Larkspur\Controls\StickMode;
use Larkspur\Fact;

/** What plays a finger's axis, and what its two ends do. */
final readonly class Thumb implements Document
{
    /** @param  array{Fact, Fact}  $ends */
    public function __construct(public Fact $thumb, public array $ends)
    {
    }

    /** @return array<string, self> by finger */
    public static function each(StickMode $sticks): array
    {
        $thumbs = [];
        foreach (Finger::cases() as $finger) {
            $thumbs[$finger->value] = new self($sticks->thumb($finger), $finger->ends());
        }

        return $thumbs;
    }
}
