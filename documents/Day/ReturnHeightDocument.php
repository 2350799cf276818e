<?php

declare(strict_types=1);

namespace Documents\Day;

use Documents\Document;
use Larkspur\Fact;
use Larkspur\FlightDay\ReturnHeight;

/** The height at which a craft comes home by itself, m above take-off. */
final readonly class ReturnHeightDocument implements Document
{
    public function __construct(
        public float $heightM,
        public ?string $tallest,
        public float $topM,
        public float $marginM,
        public bool $overCeiling,
        public Fact $sentence,
    ) {
    }

    public static function of(ReturnHeight $height): self
    {
        return new self(
            $height->height, $height->tallest, round($height->top, 1), $height->margin, $height->overCeiling, $height->inShort(),
        );
    }
}
